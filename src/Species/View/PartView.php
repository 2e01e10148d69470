<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Hazards\View\LookAlikeView;

/** What can be taken, when, after which features. */
final readonly class PartView
{
    /**
     * @param list<string>              $uses
     * @param list<ConditionView>       $conditions
     * @param list<RequiredFeatureView> $required
     * @param list<LookAlikeView>       $lookAlikes
     * @param list<string>              $preparation
     * @param list<string>              $sources
     */
    public function __construct(
        public string $id, public string $label, public array $uses, public string $harmful, public string $window, public string $identified, public array $conditions,
        public array $required, public array $lookAlikes, public array $preparation, public string $leave, public int $freshnessDays, public array $sources, public ?RehearsedView $rehearsed, public string $yield, public ?int $effort,
    ) {
    }
}

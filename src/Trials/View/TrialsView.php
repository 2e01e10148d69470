<?php

declare(strict_types=1);

namespace App\Trials\View;

use App\Trials\TrialOf;

/** What was tried, and what works best. */
final readonly class TrialsView
{
    /**
     * @param TrialOf            $what   what was tried
     * @param list<WayFoundView> $ways   the surest first: those that work oftenest even at the worst
     * @param list<TrialView>    $trials the last first
     */
    public function __construct(public TrialOf $what, public array $ways, public array $trials)
    {
    }
}

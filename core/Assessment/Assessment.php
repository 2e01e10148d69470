<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Clearance;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Outlook;
use Hylognosis\Identification\Suggestion;

/** One full step: the ranking, the dangers, the gate, and what to look at next. */
final readonly class Assessment
{
    /**
     * @param list<DangerReport> $dangers   open ones first, worst first
     * @param Clearance|null     $clearance none where nothing was claimed
     * @param list<Suggestion>   $next      the most worthwhile first
     * @param Outlook            $outlook   what could be looked at on the day of the examination
     */
    public function __construct(
        public Identification $identification,
        public array $dangers,
        public ?Clearance $clearance,
        public array $next,
        public Outlook $outlook,
    ) {
    }
}

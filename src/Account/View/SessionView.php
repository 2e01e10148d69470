<?php

declare(strict_types=1);

namespace App\Account\View;

use App\School\View\SchoolView;

/** Who is signed in, and what day it is. */
final readonly class SessionView
{
    /**
     * @param PersonView|null       $user         null where nobody is signed in
     * @param bool                  $demo         whether this is the demo school
     * @param string                $today        the day the school takes for today, YYYY-MM-DD
     * @param list<DemoAccountView> $demoAccounts none outside the demo
     * @param bool                  $begun        somebody has an account here; else the first page stands open
     * @param SchoolView|null       $school       null before it has begun, and for strangers
     */
    public function __construct(
        public ?PersonView $user,
        public bool $demo,
        public string $today,
        public array $demoAccounts,
        public bool $begun,
        public ?SchoolView $school,
    ) {
    }
}

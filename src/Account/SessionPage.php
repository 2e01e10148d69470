<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\View\PersonView;
use App\Account\View\SessionView;
use App\Clock\SchoolClock;
use App\School\SchoolRepository;
use App\School\View\SchoolView;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Who is signed in, what day it is, and in the demo who can be signed in as. */
final readonly class SessionPage
{
    public function __construct(
        private SchoolClock $clock,
        private UserRepository $people,
        private SchoolRepository $schools,
        private KnownAccounts $accounts,
        #[Autowire('%env(bool:APP_DEMO)%')] private bool $demo,
    ) {
    }

    public function of(?User $user): SessionView
    {
        $school = null === $user ? null : $this->schools->ours();

        return new SessionView(
            null === $user ? null : PersonView::of($user),
            $this->demo,
            CalendarDay::iso($this->clock->today()),
            null === $user ? $this->accounts->all() : [],
            null !== $user || $this->people->isAnybodyHere(),
            null === $school ? null : SchoolView::of($school),
        );
    }
}

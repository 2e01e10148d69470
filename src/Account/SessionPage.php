<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\View\PersonView;
use App\Account\View\SessionView;
use App\Clock\SchoolClock;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Who is signed in, what day it is, and in the demo who can be signed in as. */
final readonly class SessionPage
{
    public function __construct(private SchoolClock $clock, private KnownAccounts $accounts, #[Autowire('%env(bool:APP_DEMO)%')] private bool $demo)
    {
    }

    public function of(?User $user): SessionView
    {
        return new SessionView(null === $user ? null : PersonView::of($user), $this->demo, $this->clock->today()->format('Y-m-d'), null === $user ? $this->accounts->all() : []);
    }
}

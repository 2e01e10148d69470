<?php

declare(strict_types=1);

namespace App\Account\View;

/** Who is signed in, and what day it is. */
final readonly class SessionView
{
    /** @param list<DemoAccountView> $demoAccounts none outside the demo */
    public function __construct(public ?PersonView $user, public bool $demo, public string $today, public array $demoAccounts)
    {
    }
}

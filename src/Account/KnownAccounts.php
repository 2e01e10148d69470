<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\View\DemoAccountView;

/** Accounts anybody may sign in with, told to whoever is signed in as nobody. */
interface KnownAccounts
{
    /** @return list<DemoAccountView> none in a school */
    public function all(): array;
}

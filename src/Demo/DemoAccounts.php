<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\KnownAccounts;
use App\Account\User;
use App\Account\UserRepository;
use App\Account\View\DemoAccountView;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The people of the invented school. */
final readonly class DemoAccounts implements KnownAccounts
{
    private const MOST = 12;

    public function __construct(
        private UserRepository $users,
        #[Autowire('%env(bool:APP_DEMO)%')] private bool $demo,
    ) {
    }

    public function all(): array
    {
        return !$this->demo
            ? []
            : array_map(
                static fn (User $user): DemoAccountView => new DemoAccountView(
                    $user->email,
                    DemoSchool::PASSWORD,
                    $user->name,
                    $user->role,
                ),
                array_values($this->users->findBy([], ['id' => 'ASC'], self::MOST)),
            );
    }
}

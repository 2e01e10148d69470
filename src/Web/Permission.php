<?php

declare(strict_types=1);

namespace App\Web;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Security\Core\Authorization\AccessDecision;

/** Asks the voters of the rooms, and says in their words why not. */
final readonly class Permission
{
    public function __construct(private Security $security)
    {
    }

    /**
     * @param string $what one of the constants of a voter
     *
     * @throws Refused if whoever is signed in may not
     */
    public function need(string $what, mixed $of = null): void
    {
        $decision = new AccessDecision();
        if (!$this->security->isGranted($what, $of, $decision)) {
            $reasons = array_merge(...array_map(static fn ($vote): array => $vote->reasons, $decision->votes));
            throw Refused::forbidden([] === $reasons ? 'You may not do that.' : implode(' ', $reasons));
        }
    }
}

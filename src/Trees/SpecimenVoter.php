<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may say which tree is which, and of what kind.
 *
 * @extends Voter<self::IDENTIFY, null>
 */
final class SpecimenVoter extends Voter
{
    public const IDENTIFY = 'specimen.identify';

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::IDENTIFY === $attribute;
    }

    protected function voteOnAttribute(
        string $attribute,
        mixed $subject,
        TokenInterface $token,
        ?Vote $vote = null,
    ): bool {
        $user = $token->getUser();
        if ($user instanceof User && $user->role->mayDecide()) {
            return true;
        }
        $vote?->addReason('Which tree is which, and of what kind, is said by an instructor.');

        return false;
    }
}

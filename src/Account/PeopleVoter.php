<?php

declare(strict_types=1);

namespace App\Account;

use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may look after the people of the school.
 *
 * @extends Voter<self::CARE, null>
 */
final class PeopleVoter extends Voter
{
    public const CARE = 'people.care';

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::CARE === $attribute;
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
        $vote?->addReason('Instructors look after the people of the school.');

        return false;
    }
}

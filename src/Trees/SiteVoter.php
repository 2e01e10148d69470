<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may say what holds at a place: the gate reads it.
 *
 * @extends Voter<self::CARE, null>
 */
final class SiteVoter extends Voter
{
    public const CARE = 'site.care';

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
        $vote?->addReason('What holds at a place is entered by an instructor: the gate reads it.');

        return false;
    }
}

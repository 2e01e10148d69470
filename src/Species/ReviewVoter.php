<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may say of a stated line that it is wrong: a doubt stops it excluding anything.
 *
 * @extends Voter<self::REVIEW, null>
 */
final class ReviewVoter extends Voter
{
    public const REVIEW = 'nevers.review';

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::REVIEW === $attribute;
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
        $vote?->addReason('The sheet is read by instructors.');

        return false;
    }
}

<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Account\User;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may change what is said of a picture, or take it away: whoever added it, and an instructor.
 *
 * @extends Voter<self::CHANGE, Picture>
 */
final class PictureVoter extends Voter
{
    public const CHANGE = 'picture.change';

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::CHANGE === $attribute && $subject instanceof Picture;
    }

    protected function voteOnAttribute(
        string $attribute,
        mixed $subject,
        TokenInterface $token,
        ?Vote $vote = null,
    ): bool {
        $user = $token->getUser();
        if ($user instanceof User && ($user->role->mayDecide() || $subject->addedBy === $user)) {
            return true;
        }
        $vote?->addReason('Only whoever added it, or an instructor, may change this picture.');

        return false;
    }
}

<?php

declare(strict_types=1);

namespace App\Running;

use App\Account\User;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who sees how this server does. The figures are of nobody in particular, but a fault may tell where it is weak.
 *
 * @extends Voter<self::SEE, null>
 */
final class RunningVoter extends Voter
{
    public const SEE = 'running.see';

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::SEE === $attribute;
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
        $vote?->addReason('How the server runs is shown to instructors.');

        return false;
    }
}

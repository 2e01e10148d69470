<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\TrustOfLearners;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may take something under a decision.
 *
 * @extends Voter<self::TAKE, ExaminationRecord>
 */
final class HarvestVoter extends Voter
{
    public const TAKE = 'harvest.take';

    public function __construct(
        private readonly ExaminationRepository $examinations,
        private readonly TrustOfLearners $trust,
        private readonly SchoolClock $clock,
    ) {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return $subject instanceof ExaminationRecord && self::TAKE === $attribute;
    }

    protected function voteOnAttribute(
        string $attribute,
        mixed $subject,
        TokenInterface $token,
        ?Vote $vote = null,
    ): bool {
        $user = $token->getUser();
        $against = match (true) {
            !($user instanceof User) => 'Sign in first.',
            !$user->role->mayDecide() && !$this->isTrusted($user, $subject) => 'Taking something '.
                'is decided by an instructor; ask one to log it.',
            $this->examinations->isLookingBlind($user, $subject->specimen) => 'You are examining this tree as '.
                'the second person. Sign yours first.',
            default => null,
        };
        if (null !== $against) {
            $vote?->addReason($against);
        }

        return null === $against;
    }

    /** A learner takes what he is trusted with, on a gate that is open. */
    private function isTrusted(User $user, ExaminationRecord $subject): bool
    {
        $today = $this->clock->today();
        $trust = $this->trust->of($user, $subject->claimTaxon ?? '', $subject->claimPart ?? '');

        return null !== $trust && $trust->from <= $today && $today <= $trust->until;
    }
}

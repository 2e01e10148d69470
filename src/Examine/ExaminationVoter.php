<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Who may read an examination, change it, and see what speaks for which name.
 *
 * @extends Voter<self::READ|self::CHANGE|self::WEIGH|self::HAND_OVER, ExaminationRecord>
 */
final class ExaminationVoter extends Voter
{
    public const READ = 'examination.read';
    public const CHANGE = 'examination.change';
    public const WEIGH = 'examination.weigh';
    public const HAND_OVER = 'examination.hand-over';

    public function __construct(private readonly ExaminationRepository $examinations)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return $subject instanceof ExaminationRecord
            && \in_array($attribute, [self::READ, self::CHANGE, self::WEIGH, self::HAND_OVER], true);
    }

    protected function voteOnAttribute(
        string $attribute,
        mixed $subject,
        TokenInterface $token,
        ?Vote $vote = null,
    ): bool {
        $user = $token->getUser();
        $against =
            $user instanceof User
                ? match ($attribute) {
                    self::READ => $this->againstReading($subject, $user),
                    self::CHANGE => $subject->examiner === $user
                        ? null
                        : 'Only '.$subject->examiner->name.' can change this examination.',
                    self::HAND_OVER => $subject->examiner === $user || ($subject->examiner->hasLeft() && $user->role->mayDecide())
                        ? null
                        : 'Only '.$subject->examiner->name.' can hand this examination over, or an instructor '.
                            'once they have left.',
                    default => self::againstWeighing($subject),
                }
        : 'Sign in first.';
        if (null !== $against) {
            $vote?->addReason($against);
        }

        return null === $against;
    }

    private function againstReading(ExaminationRecord $record, User $user): ?string
    {
        return match (true) {
            $record->examiner === $user => null,
            !$record->isSigned() => 'This examination is still being made by '.
                $record->examiner->name.
                '; it can be read once it is signed.',
            $this->examinations->isLookingBlind($user, $record->specimen) => 'You are examining this tree as the '.
                'second person. Sign yours first; until then the first scores stay covered.',
            default => null,
        };
    }

    private static function againstWeighing(ExaminationRecord $record): ?string
    {
        return match (true) {
            $record->hidesTheHope() => 'You look at this tree as the second person; the evidence stays covered '.
                'until you sign.',
            $record->hidesNames() => 'The names are covered; uncover them first.',
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/**
 * How a decision about a practice tree is marked. "Not yet" is a full mark whenever the gate would have been shut: it
 * is what a careful person says most often.
 */
enum PracticeMark: string
{
    /** It was the tree, enough was seen, and it is taken. */
    case RightlyTaken = 'rightly-taken';
    /** It was the tree, and not enough was seen: the next one looks as good and is another. */
    case Hasty = 'hasty';
    /** It was another tree. */
    case Wrong = 'wrong';
    case RightlyWaited = 'rightly-waited';
    /** The gate would have been open: a right answer, a little slow. */
    case WaitedThoughEnough = 'waited-though-enough';
    case RightlyLeft = 'rightly-left';
    /** It was the tree that was hoped for. */
    case LeftTheRightOne = 'left-the-right-one';

    /**
     * @param bool $isWanted whether it is the kind that is hoped for
     * @param bool $isOpen   whether the gate would be open on what was scored
     */
    public static function of(LearnersDecision $decision, bool $isWanted, bool $isOpen): self
    {
        return match ($decision) {
            LearnersDecision::Take => match (true) {
                !$isWanted => self::Wrong,
                $isOpen => self::RightlyTaken,
                default => self::Hasty,
            },
            // open over another tree, it was misread: waiting saved somebody
            LearnersDecision::NotYet => $isWanted && $isOpen ? self::WaitedThoughEnough : self::RightlyWaited,
            LearnersDecision::Never => $isWanted ? self::LeftTheRightOne : self::RightlyLeft,
        };
    }

    /** 0 to 1. */
    public function share(): float
    {
        return match ($this) {
            self::RightlyTaken, self::RightlyWaited, self::RightlyLeft => 1.0,
            self::WaitedThoughEnough => 0.8,
            self::LeftTheRightOne => 0.5,
            self::Hasty, self::Wrong => 0.0,
        };
    }
}

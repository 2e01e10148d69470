<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** Why a jar gets no label. */
enum LabelRefusal: string
{
    /** What it rests on is doubted, or was called back. */
    case Doubted = 'doubted';
    /** Not all that makes it fit to be kept has been done. */
    case StepsOpen = 'steps-open';
    case DayIsOver = 'day-is-over';
    /** Later than the recipe says that it keeps. */
    case KeepsNotSoLong = 'keeps-not-so-long';

    /**
     * What may be labelled is said here, and nowhere else.
     *
     * @param bool               $doubted  anything that went into it, or it itself
     * @param bool               $through  all steps are done
     * @param \DateTimeImmutable $made     day
     * @param \DateTimeImmutable $best     day before which it is best
     */
    public static function of(
        Recipe $recipe,
        bool $doubted,
        bool $through,
        \DateTimeImmutable $made,
        \DateTimeImmutable $best,
    ): ?self {
        return match (true) {
            $doubted => self::Doubted,
            !$through => self::StepsOpen,
            $best < $made => self::DayIsOver,
            $best > $recipe->keepsUntil($made) => self::KeepsNotSoLong,
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/**
 * Scores of one character at one height of the tree that cannot all be right, and how that is settled: by a further
 * look, recorded as such, another act at another time, sure and on the tree. What it agrees with stands once its looks
 * outnumber everything else; a score that was taken back counts among everything else. After five looks the same eye
 * settles nothing any more: the safety case reckons with five.
 */
final readonly class Dispute
{
    /** Looks of one examiner at one character; the safety case reckons with so many. */
    public const MOST_LOOKS = 5;
    /** Sooner after another score than this, a further look is the same act. */
    private const SECONDS_APART = 15;

    /**
     * @param list<Observation> $looks of one character, at one height, taken back ones among them
     *
     * @return list<Observation>|null those that stand; null while it is open
     */
    public static function settled(array $looks): ?array
    {
        $standing = array_values(array_filter($looks, static fn (Observation $o): bool => !$o->look->takenBack));
        if (self::areOfOneMind($looks)) {
            return $standing;
        }
        if (\count($looks) > self::MOST_LOOKS) {
            return null;
        }
        foreach ($standing as $last) {
            if (!$last->look->further || !$last->canDecide()) {
                continue;
            }
            $side = self::side($last, $standing);
            $votes = self::votes($side, $looks);
            if ($votes > \count($looks) - \count($side)) {
                // so at least two: a dispute has another side
                return $side;
            }
        }

        return null;
    }

    /**
     * Whether what was taken back has been settled: it disagreed with what stands and was outvoted, or, where it may
     * have been seen beside what stands, as many further looks have not found it.
     *
     * @param list<Observation> $looks of one character, at one height
     */
    public static function outvotesTakenBack(array $looks): bool
    {
        if (!self::areOfOneMind($looks)) {
            return null !== self::settled($looks);
        }
        $standing = array_values(array_filter($looks, static fn (Observation $o): bool => !$o->look->takenBack));
        $further = array_filter($standing, static fn (Observation $o): bool => $o->look->further && $o->canDecide());
        $votes = self::votes($standing, $looks);

        return [] !== $further && \count($looks) <= self::MOST_LOOKS && $votes > \count($looks) - \count($standing);
    }

    /**
     * What a look agrees with, less those that contradict one another: two scores do not agree because a third has
     * both.
     *
     * @param list<Observation> $standing
     *
     * @return list<Observation>
     */
    private static function side(Observation $last, array $standing): array
    {
        $agreeing = array_filter($standing, $last->agreesWith(...));

        return array_values(
            array_filter(
                $agreeing,
                static fn (Observation $one): bool => [] ===
                    array_filter($agreeing, static fn (Observation $other): bool => !$one->agreesWith($other)),
            ),
        );
    }

    /**
     * @param list<Observation> $side
     * @param list<Observation> $looks all of them
     */
    private static function votes(array $side, array $looks): int
    {
        $first = $further = 0;
        foreach ($side as $observation) {
            if (!$observation->canDecide()) {
                continue;
            }
            if (!$observation->look->further) {
                $first = 1; // the same said twice at once is one look
            } elseif (self::isAnActOfItsOwn($observation, $looks)) {
                ++$further;
            }
        }

        return $first + $further;
    }

    /** @param list<Observation> $looks */
    private static function isAnActOfItsOwn(Observation $observation, array $looks): bool
    {
        foreach ($looks as $other) {
            $apart = $observation === $other ? null : $observation->look->secondsFrom($other->look);
            if (null !== $apart && $apart < self::SECONDS_APART) {
                return false;
            }
        }

        return true;
    }

    /** @param list<Observation> $looks */
    private static function areOfOneMind(array $looks): bool
    {
        foreach ($looks as $i => $one) {
            foreach (\array_slice($looks, $i + 1) as $other) {
                if (!$one->agreesWith($other)) {
                    return false;
                }
            }
        }

        return true;
    }
}

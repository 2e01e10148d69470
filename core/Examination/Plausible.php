<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;

/** Whether a number can have been measured, or was mistyped: a leaf of a hundred metres is neither near nor far. */
final readonly class Plausible
{
    /** A tree the flora does not hold may well show more than any it holds; not so many times more. */
    private const TIMES = 10.0;

    /** @return float|null the most any kind of the flora shows, in the character’s unit; null where none is described */
    public static function largest(Flora $flora, Character $character): ?float
    {
        $largest = null;
        foreach ($flora->taxa as $taxon) {
            $most = $taxon->description->range($character->id)?->most;
            $largest = null === $most ? $largest : max($largest ?? $most, $most);
        }

        return $largest;
    }

    /**
     * @param list<float> $numbers in the character’s unit
     *
     * @throws UnusableScore if one of them is more than ten times what any kind of the flora shows
     */
    public static function check(Flora $flora, Character $character, array $numbers): void
    {
        $largest = [] === $numbers ? null : self::largest($flora, $character);
        if (null === $largest) {
            return;
        }
        foreach ($numbers as $number) {
            if ($number > self::TIMES * $largest) {
                throw UnusableScore::in(
                    'numbers',
                    \sprintf(
                        '%s %s is more than ten times what any kind of this flora shows (%s at most). Typed right?',
                        $number,
                        $character->unit,
                        trim($largest.' '.$character->unit),
                    ),
                );
            }
        }
    }
}

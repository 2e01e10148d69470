<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;

/**
 * The characters an examiner is asked about today: in season at the place, in reach, with an instrument at hand, and
 * making sense after what was scored. What was scored already, or is wanted whatever the day, is always among them.
 */
final readonly class InSight
{
    /**
     * @param list<string> $wanted ids of characters that are shown whatever the day, as those a part requires
     *
     * @return list<Character> in the order of the catalogue
     */
    public static function of(Flora $flora, Examination $examination, Outlook $outlook, array $wanted = []): array
    {
        $outOfSeason = $outlook->phenology->outOfSeason($flora, $outlook->day);

        return array_values(
            array_filter(
                $flora->characters,
                static fn (Character $character): bool => match (true) {
                    null !== $examination->finding($character->id),
                    \in_array($character->id, [...$wanted, ...$examination->couldNotLook], true) => true,
                    \in_array($character->id, $outOfSeason, true), !$outlook->reaches($character) => false,
                    $examination->couldNotSee($flora, $character) => false,
                    default => self::makesSense($flora, $examination, $character),
                },
            ),
        );
    }

    /** No lobes where the blade is a needle; what a character hangs on may itself hang on another. */
    private static function makesSense(Flora $flora, Examination $examination, Character $character): bool
    {
        $applies = $character->applies;
        if (null === $applies) {
            return true;
        }
        $finding = $examination->finding($applies->character);

        return null === $finding
            ? self::makesSense($flora, $examination, $flora->character($applies->character))
            : [] !== array_intersect($applies->states, $finding->values());
    }
}

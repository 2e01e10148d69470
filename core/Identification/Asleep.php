<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** The characters no tree of the flora can show on a day, each with the day the first of them shows it again. */
final readonly class Asleep
{
    /** @return array<string, DayOfYear> character → first day, at the place; those nothing ever shows are missing */
    public static function of(Flora $flora, Phenology $phenology, DayOfYear $day): array
    {
        $waits = [];
        foreach ($flora->taxa as $taxon) {
            foreach ($phenology->waits($taxon, $day) as $phase => $days) {
                $waits[$phase] = min($waits[$phase] ?? $days, $days);
            }
        }
        $asleep = [];
        foreach ($flora->characters as $character) {
            $soonest = self::soonest($character, $waits);
            if (null !== $soonest && $soonest > 0) {
                $asleep[$character->id] = $day->plus($soonest);
            }
        }

        return $asleep;
    }

    /** @param array<string, int> $waits phenophase → days until the first taxon shows it */
    private static function soonest(Character $character, array $waits): ?int
    {
        $soonest = null;
        foreach ($character->sight->phenophases as $phase) {
            $wait = $waits[$phase->value] ?? null;
            $soonest = null === $wait || (null !== $soonest && $soonest <= $wait) ? $soonest : $wait;
        }

        return $soonest;
    }
}

<?php

declare(strict_types=1);

namespace App\Season;

use App\Season\View\LessonView;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Severity;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Place;
use Hylognosis\Season\Phenology;

/** One dangerous pair to learn to tell apart: of what is in its window, another each day. */
final readonly class LessonOfDay
{
    /** Null where nothing in its window is confused with anything that harms much. */
    public static function of(Flora $flora, Place $place, DayOfYear $today): ?LessonView
    {
        $phenology = Phenology::at($flora, $place);
        $pairs = [];
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                $window = $phenology->window($part);
                if (null === $window || $window->days() >= 365 || !$window->contains($today)) {
                    continue;
                }
                foreach ($part->lookAlikes as $other) {
                    if (\in_array($other->severity, [Severity::Deadly, Severity::Serious], true)) {
                        $pairs["$taxon->id $other->taxon"] ??= [$taxon, $part, $other];
                    }
                }
            }
        }
        ksort($pairs);
        $pair = [] === $pairs ? null : array_values($pairs)[$today->number % \count($pairs)];
        if (null === $pair) {
            return null;
        }
        [$taxon, $part, $other] = $pair;

        return new LessonView(
            $taxon->id,
            $taxon->commonName(),
            $part->label,
            $other->taxon,
            $flora->taxon($other->taxon)->commonName(),
            $other->severity,
            $other->note,
        );
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;

/** When the taxa of a flora show what, at a given place. */
final readonly class Phenology
{
    private function __construct(public HopkinsShift $shift, public Place $place)
    {
    }

    public static function at(Flora $flora, Place $place): self
    {
        return new self(HopkinsShift::between($flora->reference, $place), $place);
    }

    /**
     * The part's window of the year at this place; none for a part that may never be taken, or does not come about
     * here.
     */
    public function window(Part $part): ?Window
    {
        return null === $part->timing ? null : $this->shift->apply($part->timing->window, $part->timing->follows);
    }

    /** @return int one bit per phenophase, in the order of its cases */
    public function phases(Taxon $taxon, DayOfYear $day): int
    {
        $mask = 0;
        foreach (Phenophase::cases() as $bit => $phase) {
            if (true === $this->stretch($taxon, $phase)?->contains($day)) {
                $mask |= 1 << $bit;
            }
        }

        return $mask;
    }

    public function shows(Taxon $taxon, Character $character, DayOfYear $day): bool
    {
        foreach ($character->sight->phenophases as $phase) {
            if (true === $this->stretch($taxon, $phase)?->contains($day)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> ids of the characters that no taxon of the flora shows on that day */
    public function outOfSeason(Flora $flora, DayOfYear $day): array
    {
        $shown = array_filter(
            Phenophase::cases(),
            fn (Phenophase $phase): bool => $this->isShownByAny($flora, $phase, $day),
        );
        $out = [];
        foreach ($flora->characters as $character) {
            if (
                [] ===
                array_filter(
                    $character->sight->phenophases,
                    static fn (Phenophase $phase): bool => \in_array($phase, $shown, true),
                )
            ) {
                $out[] = $character->id;
            }
        }

        return $out;
    }

    private function isShownByAny(Flora $flora, Phenophase $phase, DayOfYear $day): bool
    {
        foreach ($flora->taxa as $taxon) {
            if (true === $this->stretch($taxon, $phase)?->contains($day)) {
                return true;
            }
        }

        return false;
    }

    /** The first day from the given one on when the character can be seen on the taxon; none if never. */
    public function nextShowing(Taxon $taxon, Character $character, DayOfYear $from): ?DayOfYear
    {
        $waits = $this->waits($taxon, $from);
        $soonest = null;
        foreach ($character->sight->phenophases as $phase) {
            $wait = $waits[$phase->value] ?? null;
            $soonest = null === $wait || (null !== $soonest && $soonest <= $wait) ? $soonest : $wait;
        }

        return null === $soonest ? null : $from->plus($soonest);
    }

    /**
     * @return array<string, int> phenophase → days from the given one until the taxon shows it, 0 if it does; those it
     *     never shows are missing
     */
    public function waits(Taxon $taxon, DayOfYear $from): array
    {
        $waits = [];
        foreach (Phenophase::cases() as $phase) {
            $window = $this->stretch($taxon, $phase);
            if (null !== $window) {
                $waits[$phase->value] = $window->contains($from) ? 0 : $from->until($window->from);
            }
        }

        return $waits;
    }

    /**
     * Whether the character can be in sight on the taxon on that day, some days given or taken: no two years are alike.
     *
     * @param int $leeway days before and after, 0 to 60
     */
    public function canShow(Taxon $taxon, Character $character, DayOfYear $day, int $leeway): bool
    {
        foreach ($character->sight->phenophases as $phase) {
            $window = $this->stretch($taxon, $phase);
            if (
                null !== $window
                && ($window->contains($day)
                    || $day->until($window->from) <= $leeway
                    || $window->to->until($day) <= $leeway)
            ) {
                return true;
            }
        }

        return false;
    }

    /** When the taxon shows a phenophase at this place; none if never. */
    public function stretch(Taxon $taxon, Phenophase $phase): ?Window
    {
        $window = $taxon->calendar->window($phase);

        return null === $window ? null : $this->shift->apply($window, $phase);
    }
}

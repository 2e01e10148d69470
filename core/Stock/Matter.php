<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** Something of a tree that animals get at, and the time of year they do. */
final readonly class Matter
{
    /**
     * @param string           $what in words: green acorns, leaves …
     * @param list<Animal>     $animals whom it concerns
     * @param list<Phenophase> $when while the tree shows one of these; none: all year
     */
    public function __construct(public string $what, public array $animals, public array $when)
    {
    }

    /** Whether it is to be reckoned with at that place and day; always, where the flora gives no such time. */
    public function isNow(Taxon $taxon, Phenology $phenology, DayOfYear $day): bool
    {
        $stretches = array_filter(
            array_map(static fn (Phenophase $phase) => $phenology->stretch($taxon, $phase), $this->when),
        );
        foreach ($stretches as $stretch) {
            if ($stretch->contains($day)) {
                return true;
            }
        }

        return [] === $stretches;
    }
}

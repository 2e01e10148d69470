<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Gone;
use App\Trees\PositionFrom;
use App\Trees\Sex;
use App\Trees\Specimen;
use App\Trees\TreeMeasure;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Measure\CalendarDay;

/** A tree with what is known of it beside what was scored. */
final readonly class TreePageView
{
    /**
     * @param float|null        $latitude    degrees, north above 0; null: nobody has taken it
     * @param float|null        $longitude   degrees, east above 0
     * @param float|null        $uncertainty metres within which it stands
     * @param LifeStage|null    $stage       null: nobody has said
     * @param string            $health      how it stands, what has happened to it; may be empty
     * @param string|null       $goneOn      day it went, YYYY-MM-DD
     * @param string            $taggedOn    day, YYYY-MM-DD
     * @param list<FormerTagView> $formerTags tags it had before
     * @param string|null       $mergedInto  id of the tree this one turned out to be
     * @param list<MeasureView> $measures    the last first
     */
    public function __construct(
        public SpecimenView $tree,
        public ?float $latitude,
        public ?float $longitude,
        public ?float $uncertainty,
        public PositionFrom $positionFrom,
        public ?LifeStage $stage,
        public Sex $sex,
        public string $health,
        public Gone $gone,
        public ?string $goneOn,
        public string $taggedOn,
        public array $formerTags,
        public ?string $mergedInto,
        public array $measures,
    ) {
    }

    /** @param list<TreeMeasure> $measures */
    public static function of(SpecimenView $label, Specimen $tree, array $measures): self
    {
        return new self(
            $label,
            $tree->latitude,
            $tree->longitude,
            $tree->uncertainty,
            $tree->positionFrom,
            $tree->stage,
            $tree->sex,
            $tree->health,
            $tree->gone,
            null === $tree->goneOn ? null : CalendarDay::iso($tree->goneOn),
            CalendarDay::iso($tree->createdAt),
            array_map(
                static fn (array $former): FormerTagView => new FormerTagView($former['tag'], $former['until']),
                $tree->formerTags,
            ),
            $tree->mergedInto,
            array_map(MeasureView::of(...), $measures),
        );
    }
}

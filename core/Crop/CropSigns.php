<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Season\Partner;

/** All that is known of one tree's crop of one year beforehand. What nobody knows is null. */
final readonly class CropSigns
{
    /** A tree that was judged in so many years is asked itself; one of fewer, all of its kind at the place. */
    public const OWN_YEARS = 2;
    /** Young fruit is hurt by frost so long after the flowers. Common practice. */
    public const FRUIT_SET_DAYS = 10;

    /**
     * @param string                $tree       id of the tree
     * @param int                   $year       in which the window begins
     * @param TypicalCrop           $typical    of the kind and part
     * @param array<string, NumberRange> $figures of the kind, by {@see \Hylognosis\Flora\FigureKind}
     * @param array{float, float}|null $age     years, from and to
     * @param bool|null             $male       of a kind with two sexes
     * @param Partner|null          $wants      what second tree it wants near; null: none
     * @param bool|null             $partner    one is known within reach; null where the tree has no position
     * @param array<int, CropGrade> $grades     by year, of the tree, or of its kind at the site
     * @param bool                  $hungBefore something was seen hanging on the tree itself in a year before
     * @param CropGrade|null        $others     what hangs that year on others of the kind at the site
     * @param bool                  $hasFlowered flowers were dated on it that year
     * @param bool                  $atRisk     its flowering of that year has begun, and frost can hurt it
     * @param LateFrost|null        $frost      null where no station tells
     * @param list<Take>            $takes      of the kind and part, by tree and year; of whatever tree
     */
    public function __construct(
        public string $tree,
        public int $year,
        public TypicalCrop $typical,
        public array $figures = [],
        public ?array $age = null,
        public ?LifeStage $stage = null,
        public ?bool $male = null,
        public ?Partner $wants = null,
        public ?bool $partner = null,
        public array $grades = [],
        public bool $hungBefore = false,
        public ?CropGrade $others = null,
        public bool $hasFlowered = false,
        public bool $atRisk = false,
        public ?LateFrost $frost = null,
        public array $takes = [],
    ) {
    }

    /** Whether the tree itself ever bore: then it is old enough, female, and has what serves it. */
    public function hasBorne(): bool
    {
        return $this->hungBefore
            || [] !== array_filter($this->takes, fn (Take $t): bool => $t->tree === $this->tree && $t->year < $this->year);
    }
}

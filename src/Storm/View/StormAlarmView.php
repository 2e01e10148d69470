<?php

declare(strict_types=1);

namespace App\Storm\View;

use App\Stock\View\ReachView;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\Peril;
use Hylognosis\Storm\Wilting;

/** Something lies where animals get at it. */
final readonly class StormAlarmView
{
    /**
     * @param float           $hours     since it came down
     * @param int             $number    of animals there
     * @param bool            $isGrazed  whether they may be there today, by what was entered
     * @param bool            $isBare    it bears no leaves at this time of year, says the flora
     * @param list<ReachView> $reach     what harmed others, held against these; none: nobody has it on record
     * @param float|null      $leafLeast grams of fresh leaf that came down, or more, nine times of ten; null: unknown
     * @param float|null      $leafMost  or less, nine times of ten
     */
    public function __construct(
        public Peril $peril,
        public Wilting $wilting,
        public float $hours,
        public Animal $animal,
        public int $number,
        public bool $isGrazed,
        public bool $isBare,
        public array $reach,
        public ?float $leafLeast,
        public ?float $leafMost,
    ) {
    }
}

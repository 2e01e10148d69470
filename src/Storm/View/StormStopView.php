<?php

declare(strict_types=1);

namespace App\Storm\View;

use App\Storm\Ended;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\Zone;
use Hylognosis\Storm\StormFinding;

/** A stop of a walk after a storm. */
final readonly class StormStopView
{
    /**
     * @param string              $id            of the stop
     * @param int                 $number        from 1 up, in the order of the walk
     * @param string              $tree          id of the tree or of the stand
     * @param bool                $isStand       several together, without tags
     * @param string              $label         the tag, or what the stand is called
     * @param string              $whereabouts   how it is found again; may be empty
     * @param string              $kind          what it is held to be; empty: nobody has settled it, or it may not
     *                                           be told
     * @param string              $pasture       name; empty where it reaches none
     * @param Zone|null           $zone          where it stands as seen from there
     * @param Peril|null          $peril         to what grazes there; null where it reaches no pasture
     * @param int|null            $seconds       of the way from the stop before; null where nobody knows where it
     *                                           stands
     * @param float|null          $latitude      degrees; null where nobody knows
     * @param float|null          $longitude     degrees; null where nobody knows
     * @param float|null          $thickness     millimetres at the foot of what came down
     * @param string              $note          what else was said; may be empty
     * @param string|null         $foundAt       ISO 8601
     * @param string              $foundBy       empty while nobody has
     * @param StormAlarmView|null $alarm         while it is open
     * @param bool                $wantsArborist whether a licensed arborist has to look at what still stands
     * @param string|null         $endedAt       ISO 8601
     * @param string              $endedBy       empty while it is open
     */
    public function __construct(
        public string $id,
        public int $number,
        public string $tree,
        public bool $isStand,
        public string $label,
        public string $whereabouts,
        public string $kind,
        public string $pasture,
        public ?Zone $zone,
        public ?Peril $peril,
        public ?int $seconds,
        public ?float $latitude,
        public ?float $longitude,
        public ?StormFinding $finding,
        public ?float $thickness,
        public string $note,
        public ?string $foundAt,
        public string $foundBy,
        public ?StormAlarmView $alarm,
        public bool $wantsArborist,
        public ?Ended $ended,
        public ?string $endedAt,
        public string $endedBy,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Harvest\View;

use App\Harvest\CountBy;
use App\Trees\Sex;
use Hylognosis\Crop\EmptyBecause;
use Hylognosis\Measure\AmountUnit;

/** What was taken. */
final readonly class HarvestView
{
    /**
     * @param string $id          its id
     * @param string $takenOn     day, YYYY-MM-DD
     * @param string $takenBy     who took it
     * @param string $flora       name of the flora
     * @param string $taxon       id of the taxon
     * @param string $commonName  common name
     * @param string $part        name of the part
     * @param string $amount      in words, in the reader’s units
     * @param string $ripeness    how ripe, in words
     * @param int    $shareLeft   per cent left on the tree, 0 to 100
     * @param string $note        in a sentence; empty where there is none
     * @param string $specimen    tag of the tree
     * @param string $tree        id of the tree
     * @param string $site        name of the place
     * @param string $examination id of the examination it was cleared by
     * @param int|null $minutes   somebody's time at it
     * @param int    $opened      how many were looked at
     * @param int    $sound       of them sound
     * @param CountBy $countBy    how they were told
     * @param int|null $soundLeast per cent of all; nineteen times of twenty it lies between this
     * @param int|null $soundMost per cent, and this
     * @param float  $number      of the amount, in the unit
     * @param AmountUnit $unit    as it was logged
     * @param Sex    $sex         which flowers the tree bears, where one could see
     * @param bool|null $lone     no other of its kind is in sight; null where nobody looked about
     * @param EmptyBecause|null $emptyBecause why most are empty, where they are
     * @param HarvestWeatherView|null $weather of that day; null where no station tells
     * @param list<CorrectionView> $corrections what stood there before, the last first
     */
    public function __construct(
        public string $id,
        public string $takenOn,
        public string $takenBy,
        public string $flora,
        public string $taxon,
        public string $commonName,
        public string $part,
        public string $amount,
        public string $ripeness,
        public int $shareLeft,
        public string $note,
        public string $specimen,
        public string $tree,
        public string $site,
        public string $examination,
        public ?int $minutes,
        public int $opened,
        public int $sound,
        public CountBy $countBy,
        public ?int $soundLeast,
        public ?int $soundMost,
        public float $number,
        public AmountUnit $unit,
        public Sex $sex,
        public ?bool $lone,
        public ?EmptyBecause $emptyBecause,
        public ?HarvestWeatherView $weather,
        public array $corrections,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Crop\CropGrade;

/** What may be expected of a crop. */
final readonly class CropView
{
    /**
     * @param string              $part       id of the part
     * @param string              $label      what it is called
     * @param int                 $year       in which its window begins
     * @param WindowView|null     $window     when it is likely ripe
     * @param array<string, int>  $chances    percent by grade: none, poor, fair, good
     * @param string              $unit       of the amounts, as the reader weighs; empty where none are told
     * @param float|null          $least      so much that less comes once in ten times
     * @param float|null          $likely     as often less as more
     * @param float|null          $most       so much that less comes nine times of ten
     * @param CropGrade|null      $seen       what somebody saw hanging this time
     * @param list<CropPointView> $points     what speaks for it and against it
     * @param list<string>        $rivals     animals that live on it
     * @param int|null            $lastsFrom  days from first ripe until the bulk is gone, at the least
     * @param int|null            $lastsTo    and at the most
     * @param int|null            $soundYear  year of the last count of sound ones
     * @param int                 $opened     how many were cut open then
     * @param int                 $sound      how many of them were sound
     * @param int                 $soundLeast percent of all; nineteen times of twenty it lies between this
     * @param int                 $soundMost  percent, and this
     */
    public function __construct(
        public string $part,
        public string $label,
        public int $year,
        public ?WindowView $window,
        public array $chances,
        public string $unit,
        public ?float $least,
        public ?float $likely,
        public ?float $most,
        public ?CropGrade $seen,
        public array $points,
        public array $rivals,
        public ?int $lastsFrom,
        public ?int $lastsTo,
        public ?int $soundYear,
        public int $opened,
        public int $sound,
        public int $soundLeast,
        public int $soundMost,
    ) {
    }
}

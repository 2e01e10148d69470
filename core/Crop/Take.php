<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

/** What was brought home from a tree in a year. */
final readonly class Take
{
    /**
     * @param string         $tree   id of the tree
     * @param float          $amount more than 0, in the base of the unit of the crop
     * @param CropGrade|null $grade  how much hung on it that year; null where nobody said
     */
    public function __construct(
        public string $tree,
        public int $year,
        public float $amount,
        public ?CropGrade $grade = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Season\Input;

use Hylognosis\Crop\CropGrade;
use Symfony\Component\Validator\Constraints as Assert;

/** How much hangs on a tree, or hung. */
final readonly class NewCropNote
{
    /**
     * @param string $id     made by whoever records it, a UUID: sent twice it is recorded once
     * @param string $part   id of the part
     * @param int    $year   in which its window begins
     * @param int    $opened fruits or nuts that were cut open; 0: none
     * @param int    $sound  of them, how many were sound
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        #[Assert\NotBlank] #[Assert\Length(max: 40)] public string $part,
        public int $year,
        public CropGrade $grade,
        #[Assert\Range(min: 0, max: 10_000)] public int $opened = 0,
        #[Assert\Range(min: 0, max: 10_000)] public int $sound = 0,
    ) {
    }
}

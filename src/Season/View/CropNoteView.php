<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Crop\CropGrade;

/** How much hung on a tree in a year. */
final readonly class CropNoteView
{
    /**
     * @param string    $id          of the note
     * @param string    $label       what the part is called
     * @param int       $year        in which its window began
     * @param CropGrade $grade       how much
     * @param int       $opened      fruits or nuts cut open; 0: none
     * @param int       $sound       sound ones among them
     * @param string    $by          who saw it
     * @param bool      $mayTakeBack the reader may
     */
    public function __construct(
        public string $id,
        public string $label,
        public int $year,
        public CropGrade $grade,
        public int $opened,
        public int $sound,
        public string $by,
        public bool $mayTakeBack,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Field\View;

/** What a sheet of paper needs beside the page of the species. */
final readonly class FieldSheetView
{
    /**
     * @param string                $flora   name of the flora
     * @param string                $title   what it is called
     * @param string                $edition its edition
     * @param string                $hash    SHA-256 of it
     * @param string                $day     the sheet is drawn up for, YYYY-MM-DD
     * @param string                $place   name of the place; empty for the reference place of the flora
     * @param string                $window  of the part there, in words; empty where no part is wanted or it has none
     * @param bool                  $inWindow whether that day lies in it
     * @param list<string>          $asked   ids of the characters one can be asked about on that day, in the order of
     *                                       the catalogue
     * @param list<SheetDangerView> $dangers those named for the part first, then by severity; none for a survey
     */
    public function __construct(
        public string $flora,
        public string $title,
        public string $edition,
        public string $hash,
        public string $day,
        public string $place,
        public string $window,
        public bool $inWindow,
        public array $asked,
        public array $dangers,
    ) {
    }
}

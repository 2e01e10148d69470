<?php

declare(strict_types=1);

namespace App\Season\View;

/** The crops of a tree. */
final readonly class TreeCropView
{
    /**
     * @param list<CropView>     $crops what may be expected; none where its kind is not known, or bears no crop of use
     * @param list<CropNoteView> $notes what hung on it, the last year first
     */
    public function __construct(public array $crops, public array $notes)
    {
    }
}

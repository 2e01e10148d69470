<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Species\WoodNote;
use App\Species\WoodWork;
use Hylognosis\Processing\Ease;

/** What somebody at the school found of a wood. */
final readonly class WoodNoteView
{
    /**
     * @param string     $id      of the note
     * @param Ease|null  $ease    how it took to it
     * @param float|null $density air dry, kg in a cubic metre, as it was weighed
     * @param string     $note    in words
     * @param string     $at      moment, RFC 3339
     * @param string     $by      who found it
     */
    public function __construct(
        public string $id,
        public WoodWork $work,
        public ?Ease $ease,
        public ?float $density,
        public string $note,
        public string $at,
        public string $by,
    ) {
    }

    public static function of(WoodNote $note): self
    {
        return new self(
            $note->id,
            $note->work,
            $note->ease,
            $note->density,
            $note->note,
            $note->at->format(\DateTimeInterface::RFC3339),
            $note->by->name,
        );
    }
}

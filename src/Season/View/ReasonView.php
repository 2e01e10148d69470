<?php

declare(strict_types=1);

namespace App\Season\View;

use App\Harvest\View\LearntView;

/** Why one goes to a tree. */
final readonly class ReasonView
{
    /**
     * @param ReasonKind   $kind     what for
     * @param string       $taxon    id of the kind; empty where it is not told
     * @param string       $name     its common name
     * @param string       $part     what may be taken, in words; or what may come
     * @param string       $id       id of the part, or of the event
     * @param string|null  $until    last day of it, YYYY-MM-DD
     * @param list<string> $features what of the required can be seen that day, and nobody has looked at lately
     * @param CropView|null $crop    what may be expected, where it is a crop
     * @param LearntView|null $learnt the last time something was taken of it
     */
    public function __construct(
        public ReasonKind $kind,
        public string $taxon,
        public string $name,
        public string $part,
        public string $id,
        public ?string $until,
        public array $features,
        public ?CropView $crop = null,
        public ?LearntView $learnt = null,
    ) {
    }

    public function expecting(?CropView $crop, ?LearntView $learnt): self
    {
        return new self(
            $this->kind,
            $this->taxon,
            $this->name,
            $this->part,
            $this->id,
            $this->until,
            $this->features,
            $crop,
            $learnt,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Species\Input;

use App\Species\WoodWork;
use App\Web\Input\PlainText;
use Hylognosis\Processing\Ease;
use Symfony\Component\Validator\Constraints as Assert;

/** What somebody found of a wood. */
final readonly class NewWoodNote
{
    /**
     * @param string     $id    made by whoever records it, a UUID
     * @param string     $taxon of the flora of whoever records it
     * @param Ease|null  $ease  how it took to it; where it was weighed: none
     * @param float|null $grams a piece weighs, air dry; where it was worked: none
     * @param float|null $cubicCentimetres of that piece
     * @param string     $note  in words
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        #[Assert\NotBlank] #[Assert\Length(max: 80)] public string $taxon,
        public WoodWork $work,
        public ?Ease $ease = null,
        #[Assert\Range(min: 0.1, max: 1_000_000)] public ?float $grams = null,
        #[Assert\Range(min: 0.1, max: 10_000_000)] public ?float $cubicCentimetres = null,
        #[Assert\Length(max: 300)] #[PlainText] public string $note = '',
    ) {
    }
}

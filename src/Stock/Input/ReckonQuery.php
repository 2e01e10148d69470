<?php

declare(strict_types=1);

namespace App\Stock\Input;

use Hylognosis\Stock\Animal;
use Symfony\Component\Validator\Constraints as Assert;

/** Whose animals, and what came down. */
final readonly class ReckonQuery
{
    /**
     * @param string     $taxon    id of the kind
     * @param int        $number   of the animals
     * @param float      $grams    what one of them weighs
     * @param float|null $diameter mm, of the trunk at 1.3 m or of the limb at its foot; null: nothing came down
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Length(max: 80)] public string $taxon,
        public Animal $animal,
        #[Assert\Range(min: 1, max: 10_000, notInRangeMessage: 'A herd is 1 to 10,000 animals.')] public int $number,
        #[Assert\Range(min: 10, max: 2e6, notInRangeMessage: 'One animal weighs between 10 g and 2,000 kg.')]
        public float $grams,
        #[Assert\Range(min: 25, max: 700, notInRangeMessage: 'Leaf is reckoned for 2.5 to 70 cm, 1 to 27 in.')]
        public ?float $diameter = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Pastures\Input;

use App\Web\Input\PlainText;
use Hylognosis\Stock\Animal;
use Symfony\Component\Validator\Constraints as Assert;

/** A pasture: where it lies, what grazes there and when. */
final readonly class PastureInput
{
    /**
     * @param string                                $name    how the school calls it
     * @param string                                $siteId  the place to whose weather and trees it belongs
     * @param list<list<float>>                     $corners longitude and latitude in degrees, at least three
     * @param int                                   $number  of animals
     * @param float                                 $grams   what one of them weighs
     * @param list<float>                           $gate    longitude and latitude; none: nobody has said
     * @param list<array{from: string, to: string}> $grazed  days of the year, MM-DD; none: it may be at any time
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the pasture a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $name,
        #[Assert\NotBlank(message: 'Say to which place it belongs.')]
        #[Assert\Length(max: 64)]
        public string $siteId,
        #[Assert\Count(min: 3, max: 500, minMessage: 'A pasture has at least three corners.')] #[Assert\All([
            new Assert\NotNull(),
            new Assert\Type('list'),
            new Assert\Count(exactly: 2),
            new Assert\All([
                new Assert\NotNull(),
                new Assert\Type(['int', 'float']),
                new Assert\Range(min: -180, max: 180),
            ]),
        ])]
        public array $corners,
        public Animal $animal,
        #[Assert\Range(min: 1, max: 10_000, notInRangeMessage: 'A herd is 1 to 10,000 animals.')]
        public int $number,
        #[Assert\Range(min: 10, max: 2_000_000, notInRangeMessage: 'One animal weighs between 10 g and 2,000 kg.')]
        public float $grams,
        #[Assert\Count(max: 2)] #[Assert\All([
            new Assert\NotNull(),
            new Assert\Type(['int', 'float']),
            new Assert\Range(min: -180, max: 180),
        ])]
        public array $gate = [],
        #[Assert\Count(max: 12)] #[Assert\All([
            new Assert\NotNull(),
            new Assert\Collection([
                'from' => [new Assert\NotBlank(), new Assert\Regex('/^\d\d-\d\d$/D')],
                'to' => [new Assert\NotBlank(), new Assert\Regex('/^\d\d-\d\d$/D')],
            ]),
        ])]
        public array $grazed = [],
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Trees\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** Where one goes into a place, and where the car stays. */
final readonly class WaysIn
{
    /**
     * @param list<float> $entrance longitude and latitude in degrees; none: nobody says
     * @param list<float> $car      the same
     */
    public function __construct(
        #[Assert\Sequentially([
            new Assert\Type('list'),
            new Assert\Count(max: 2),
            new Assert\All([
                new Assert\NotNull(), // the others take nothing for right
                new Assert\Type(['int', 'float']),
                new Assert\Range(min: -180, max: 180),
            ]),
        ])]
        public array $entrance,
        #[Assert\Sequentially([
            new Assert\Type('list'),
            new Assert\Count(max: 2),
            new Assert\All([
                new Assert\NotNull(),
                new Assert\Type(['int', 'float']),
                new Assert\Range(min: -180, max: 180),
            ]),
        ])]
        public array $car,
    ) {
    }
}

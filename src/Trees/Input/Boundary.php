<?php

declare(strict_types=1);

namespace App\Trees\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** The corners of a place. */
final readonly class Boundary
{
    /** @param list<list<float>> $corners longitude and latitude in degrees, at least three; none: it is not drawn any more */
    public function __construct(
        #[Assert\Count(max: 500)] #[Assert\All([
            new Assert\NotNull(), // the others take nothing for right
            new Assert\Type('list'),
            new Assert\Count(exactly: 2),
            new Assert\All([
                new Assert\NotNull(),
                new Assert\Type(['int', 'float']),
                new Assert\Range(min: -180, max: 180),
            ]),
        ])]
        public array $corners,
    ) {
    }
}

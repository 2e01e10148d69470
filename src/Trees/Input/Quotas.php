<?php

declare(strict_types=1);

namespace App\Trees\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** How often something may be taken at a place in a year. */
final readonly class Quotas
{
    /** @param array<string, int> $quotas times a year by "taxon/part"; what is not named is not counted */
    public function __construct(
        #[Assert\All([new Assert\NotNull(), new Assert\Type('int'), new Assert\Range(min: 0, max: 1000)])]
        #[Assert\Count(max: 200)]
        public array $quotas,
    ) {
    }
}

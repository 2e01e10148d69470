<?php

declare(strict_types=1);

namespace App\Devices\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What the simulated caliper or tape reads. */
final readonly class GaugeInput
{
    /**
     * @param float  $reading in the unit
     * @param string $unit    mm, cm, m or in
     */
    public function __construct(
        #[Assert\Range(min: 0, max: 100_000)]
        public float $reading,
        #[Assert\Choice(['mm', 'cm', 'm', 'in'])]
        public string $unit = 'mm',
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A stack of firewood. */
final readonly class FirewoodQuery
{
    /**
     * @param float $stacked  cubic metres, stacked
     * @param float $density  air dry, kg in a solid cubic metre
     * @param float $water    percent, of all of it
     * @param bool  $resinous a conifer
     * @param float $perDay   kWh that are burnt in a day; 0: nobody says
     * @param float $price of a stacked cubic metre, in one’s own money; 0: not known
     */
    public function __construct(
        #[Assert\Range(min: 0.01, max: 10_000)] public float $stacked,
        #[Assert\Range(min: 80, max: 1400)] public float $density,
        #[Assert\Range(min: 0, max: 70)] public float $water,
        public bool $resinous = false,
        #[Assert\Range(min: 0, max: 10_000)] public float $perDay = 0.0,
        #[Assert\Range(min: 0, max: 100_000)] public float $price = 0.0,
    ) {
    }
}

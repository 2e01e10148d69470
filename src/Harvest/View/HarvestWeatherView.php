<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** What the station says of the day something was taken. */
final readonly class HarvestWeatherView
{
    /**
     * @param float      $least      °C
     * @param float      $greatest   °C
     * @param float|null $rain       millimetres that day
     * @param float|null $rainBefore millimetres of the three days before; null where one of them is not known
     */
    public function __construct(
        public float $least,
        public float $greatest,
        public ?float $rain,
        public ?float $rainBefore,
    ) {
    }
}

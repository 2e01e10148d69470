<?php

declare(strict_types=1);

namespace App\Reckoning\View;

/** How far a stack has dried, and when it will be dry. */
final readonly class StackView
{
    /**
     * @param bool        $standIn  the station is the one that ships, and plays one
     * @param int         $days     of weather it has stood in
     * @param int         $years    of weather what is to come is reckoned from
     * @param float       $driest   water now at the least, per cent of all of it
     * @param float       $dampest  and at the most
     * @param float       $heatNow  kWh a stacked cubic metre gives if it is at its dampest now
     * @param float       $heatDry  and when it is dry
     * @param string|null $soonest  day, YYYY-MM-DD; null: not within four years
     * @param string|null $likely   day, in the middle
     * @param string|null $latest   day; null: in slow years not within four years
     */
    public function __construct(
        public bool $standIn,
        public int $days,
        public int $years,
        public float $driest,
        public float $dampest,
        public float $heatNow,
        public float $heatDry,
        public ?string $soonest,
        public ?string $likely,
        public ?string $latest,
    ) {
    }
}

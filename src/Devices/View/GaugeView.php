<?php

declare(strict_types=1);

namespace App\Devices\View;

/** What a caliper or a tape says. */
final readonly class GaugeView
{
    /**
     * @param string     $raw     as it came over the line; empty where nothing was sent
     * @param float|null $reading in the unit; null where nothing was sent, or it cannot be read
     * @param string     $unit    mm, cm, m or in
     * @param bool       $standIn it is none, but plays one
     */
    public function __construct(
        public string $raw,
        public ?float $reading,
        public string $unit,
        public bool $standIn,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/** What a look is worth, and what it costs. */
final readonly class Worth
{
    /** One open point closed is worth as much as so many bits. */
    private const BITS_PER_POINT = 0.8;

    /**
     * @param float $bits   expected fall in entropy over the taxa
     * @param float $closes expected number of open points of the clearance it closes
     * @param float $effort 1 (a glance) to 5 (a climb), as far as it counts
     * @param bool  $first  whether it has to be made in any case: then it goes before all that need not
     */
    public function __construct(
        public float $bits,
        public float $closes,
        public float $effort,
        public bool $first = false,
    ) {
    }

    /** Only its order means anything. */
    public function perEffort(): float
    {
        return ($this->bits + self::BITS_PER_POINT * $this->closes) / $this->effort;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

use Hylognosis\Measure\Mass;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\Zone;

/** A tree to be looked at after a storm, and what makes it urgent. */
final readonly class StormMark
{
    /**
     * @param Peril|null $peril   what it can do to the animals there; null where none graze within its reach
     * @param Zone       $zone    where it stands as seen from the pasture it threatens most
     * @param bool       $ruminants whether animals that chew the cud graze there: they eat most of it at once
     * @param Mass|null  $crown   fresh leaves of the whole crown; null where nobody has measured it
     */
    public function __construct(
        public string $id,
        public float $latitude,
        public float $longitude,
        public ?Peril $peril,
        public Zone $zone,
        public bool $ruminants,
        public ?Mass $crown,
    ) {
    }

    /** 0 for those gone to first. */
    public function band(): int
    {
        return match (true) {
            null === $this->peril => 2,
            $this->peril->place() <= Peril::Mild->place() => 0,
            default => 1,
        };
    }

    /** What is within a band gone to first where it costs no way: a crown nobody measured counts as heavy. */
    public function before(self $other): int
    {
        return [$this->band(), !$this->ruminants, -($this->crown->grams ?? \INF)] <=> [
            $other->band(),
            !$other->ruminants,
            -($other->crown->grams ?? \INF),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Species\View;

/** What the wood of a kind is like. What nobody has written down is null, and is not known. */
final readonly class WoodView
{
    /**
     * @param string       $taxon        id of the kind
     * @param string       $name         its common name
     * @param string       $latin        its scientific name
     * @param list<string> $uses         what its wood is taken for
     * @param float|null   $densityLeast air dry, kg in a cubic metre
     * @param float|null   $densityMost  the same
     * @param float|null   $heatLeast    air dry, kWh in a stacked cubic metre
     * @param float|null   $heatMost     the same
     * @param int|null     $decayClass   of the heartwood in the ground, 1 lasts longest, 5 least
     * @param int|null     $groundLeast  years a thin post stands
     * @param int|null     $groundMost   the same
     * @param list<string> $parts        what of its wood may be taken, in words
     */
    public function __construct(
        public string $taxon,
        public string $name,
        public string $latin,
        public array $uses,
        public ?float $densityLeast,
        public ?float $densityMost,
        public ?float $heatLeast,
        public ?float $heatMost,
        public ?int $decayClass,
        public ?int $groundLeast,
        public ?int $groundMost,
        public array $parts,
    ) {
    }
}

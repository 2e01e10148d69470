<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Processing\Ease;

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
     * @param list<float>|null $along     shrinks along the rings from green to dry, percent from and to
     * @param list<float>|null $across    across them
     * @param Ease|null    $bends        in steam, of straight green wood
     * @param bool         $lightsWet    catches though it is damp
     * @param string       $smell        in words; empty: of nothing in particular, or not known
     * @param bool         $spoons       close, without taste, and no poison is known in it
     * @param bool         $notForFood   never for spoons, skewers, boards or smoke
     * @param bool|null    $floats       green
     * @param list<WoodNoteView> $notes  what the school found, the last first
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
        public ?array $along,
        public ?array $across,
        public ?Ease $splits,
        public ?Ease $bends,
        public ?Ease $carves,
        public bool $lightsWet,
        public string $smell,
        public bool $spoons,
        public bool $notForFood,
        public ?bool $floats,
        public array $notes,
    ) {
    }
}

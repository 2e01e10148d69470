<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Volume;

/** What the wood of a kind is like to work with. What nobody has written down is null, and is not known. */
final readonly class WoodTraits
{
    /**
     * @param array{float, float}|null $along      shrinks along the rings from green to dry, shares of the width
     * @param array{float, float}|null $across     across them
     * @param Ease|null                $bends      in steam, of straight green wood
     * @param bool                     $lightsWet  bark or wood catches though it is damp
     * @param string                   $smell      in words; empty: of nothing in particular, or not known
     * @param bool                     $spoons     close, without taste, and no poison is known in it
     * @param bool                     $notForFood never for spoons, skewers, boards or smoke
     */
    public function __construct(
        public ?array $along,
        public ?array $across,
        public ?Ease $splits,
        public ?Ease $bends,
        public ?Ease $carves,
        public bool $lightsWet,
        public string $smell,
        public bool $spoons,
        public bool $notForFood,
    ) {
        if ($spoons && $notForFood) {
            throw new \InvalidArgumentException('What is not for food is not for spoons.');
        }
    }

    /**
     * Whether green wood of that density floats: what is dry in it and the water, against water.
     *
     * @param float    $density air dry, kg in a cubic metre
     * @param Moisture $moisture it has now
     *
     * @throws \InvalidArgumentException if no wood has that density
     */
    public static function floats(float $density, Moisture $moisture): bool
    {
        $one = Firewood::solid(Volume::ofCubicMetres(1.0));

        return $one->weight($density, $moisture)->kilograms() < 1000.0;
    }
}

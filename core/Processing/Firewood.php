<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Volume;

/** Firewood: stacked and solid, its weight, and the heat in it. */
final readonly class Firewood
{
    /** Stacked cubic metres of split metre logs in a solid one. Common practice. */
    private const STACKED = 1.4;
    /** Stacked cubic feet in a cord. Forestry convention. */
    private const CORD = 128.0;
    /** Megajoules in a kilogram of dry wood, leafy and resinous: European solid-biofuel practice (memory). */
    private const LEAFY = 18.3;
    private const RESINOUS = 19.1;
    /** Megajoules that go with each kilogram of water as steam, at 25 °C. */
    private const STEAM = 2.44;
    private const MEGAJOULES_IN_KWH = 3.6;
    /** Above this wood swells no more. Wood Handbook, ch. 4 (memory). */
    private const FIBRE_SATURATION = 0.3;
    /** Moisture, on dry basis, at which tables give the density of air-dry wood. */
    private const TABLE = 0.12;
    /** How much of its volume wood loses from there to dry, about. Common practice. */
    private const SWELLS = 0.05;

    private function __construct(public Volume $solid)
    {
    }

    public static function stacked(Volume $stacked): self
    {
        return new self(Volume::ofCubicMetres($stacked->cubicMetres / self::STACKED));
    }

    public static function solid(Volume $solid): self
    {
        return new self($solid);
    }

    /** @throws \InvalidArgumentException if it is less than none */
    public static function cords(float $cords): self
    {
        return self::stacked(Volume::ofCubicFeet($cords * self::CORD));
    }

    public function stackedVolume(): Volume
    {
        return Volume::ofCubicMetres($this->solid->cubicMetres * self::STACKED);
    }

    public function inCords(): float
    {
        return $this->stackedVolume()->cubicFeet() / self::CORD;
    }

    /**
     * @param float    $density  air dry, kg in a cubic metre, as the floras give it; 80 to 1400
     * @param Moisture $moisture the wood has now
     *
     * @throws \InvalidArgumentException if no wood has that density
     */
    public function weight(float $density, Moisture $moisture): Mass
    {
        if ($density < 80.0 || $density > 1400.0) {
            throw new \InvalidArgumentException('Wood has between 80 and 1400 kg in a cubic metre.');
        }
        // what is dry in a cubic metre as it is now: the wetter, the more it has swollen
        $dry = $density / (1 + self::TABLE);
        $swollen =
            1 +
            (self::SWELLS * (min($moisture->onDryBasis(), self::FIBRE_SATURATION) - self::TABLE)) /
                self::FIBRE_SATURATION;

        return Mass::ofKilograms(($this->solid->cubicMetres * $dry * (1 + $moisture->onDryBasis())) / $swollen);
    }

    /**
     * Kilowatt-hours that a kilogram gives where the steam goes up the chimney (lower heating value); 0 where it is too
     * wet to burn.
     */
    public static function heatOfAKilogram(Moisture $moisture, bool $resinous = false): float
    {
        $water = $moisture->onWetBasis();
        $joules = ($resinous ? self::RESINOUS : self::LEAFY) * (1 - $water) - self::STEAM * $water;

        return max(0.0, $joules / self::MEGAJOULES_IN_KWH);
    }

    /** Litres of heating oil that give as much, of ten kilowatt-hours each. Common practice. */
    public static function inLitresOfOil(float $kilowattHours): float
    {
        return $kilowattHours / 10.0;
    }

    /**
     * Kilowatt-hours in all of it.
     *
     * @throws \InvalidArgumentException {@see weight}
     */
    public function heat(float $density, Moisture $moisture, bool $resinous = false): float
    {
        return $this->weight($density, $moisture)->kilograms() * self::heatOfAKilogram($moisture, $resinous);
    }
}

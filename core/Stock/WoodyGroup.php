<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

/**
 * Groups of kinds whose mass above the ground follows one line: ln(kg dry) = b0 + b1 ln(cm at breast height).
 * Coefficients and spread: Jenkins, Chojnacky, Heath & Birdsey, Forest Science 49 (2003) 12–35, table 4, from memory.
 */
enum WoodyGroup: string
{
    case AspenWillow = 'aspen-willow';
    case MapleBirch = 'soft-maple-birch';
    case MixedHardwood = 'mixed-hardwood';
    case OakBeech = 'maple-oak-hickory-beech';
    case CedarLarch = 'cedar-larch';
    case Fir = 'fir-hemlock';
    case Pine = 'pine';
    case Spruce = 'spruce';

    /** @return array{float, float} b0 and b1 */
    public function line(): array
    {
        return match ($this) {
            self::AspenWillow => [-2.2094, 2.3867],
            self::MapleBirch => [-1.9123, 2.3651],
            self::MixedHardwood => [-2.4800, 2.4835],
            self::OakBeech => [-2.0127, 2.4342],
            self::CedarLarch => [-2.0336, 2.2592],
            self::Fir => [-2.5384, 2.4814],
            self::Pine => [-2.5356, 2.4349],
            self::Spruce => [-2.0773, 2.3323],
        };
    }

    /** Spread of single trees about the line, of the natural logarithm. */
    public function spread(): float
    {
        return match ($this) {
            self::AspenWillow => 0.507,
            self::MapleBirch => 0.492,
            self::MixedHardwood => 0.360,
            self::OakBeech => 0.236,
            self::CedarLarch => 0.295,
            self::Fir => 0.182,
            self::Pine => 0.254,
            self::Spruce => 0.250,
        };
    }

    /** @return array{float, float} c0 and c1 of ln(share of leaves) = c0 + c1 / cm; the same work, table 6 */
    public function leaves(): array
    {
        return match ($this) {
            self::CedarLarch, self::Fir, self::Pine, self::Spruce => [-2.9584, 4.4766],
            default => [-4.0813, 5.8816],
        };
    }
}

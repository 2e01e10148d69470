<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;

/** Cord laid by hand of plant fibre: how long it gets, how much it takes. */
final readonly class Cord
{
    /**
     * Grams in a cubic centimetre of cellulose fibre. Handbooks of textile fibres give 1.5 (memory); bast holds some
     * air.
     */
    private const DENSITY = 1.4;
    /** Share of the round that is fibre: loosely laid, and hard. Common practice. */
    private const PACKED = [0.5, 0.7];

    /**
     * @param Length $thickness across the finished cord, 0.5 to 50 mm
     *
     * @return array{Mass, Mass} for a metre of it: loosely laid, and hard
     *
     * @throws \InvalidArgumentException if it is no cord
     */
    public static function takesForAMetre(Length $thickness): array
    {
        $millimetres = 1000 * $thickness->metres();
        if ($millimetres < 0.5 || $millimetres > 50.0) {
            throw new \InvalidArgumentException('Cord is from half a millimetre to 50 mm thick.');
        }
        $full = (\M_PI / 4) * ($millimetres / 10) ** 2 * 100 * self::DENSITY;

        return [Mass::ofGrams($full * self::PACKED[0]), Mass::ofGrams($full * self::PACKED[1])];
    }

    /**
     * @return array{Length, Length} from hard laid to loose
     *
     * @throws \InvalidArgumentException {@see takesForAMetre}
     */
    public static function lengthOf(Mass $fibre, Length $thickness): array
    {
        [$loose, $hard] = self::takesForAMetre($thickness);

        return [Length::ofMetres($fibre->grams / $hard->grams), Length::ofMetres($fibre->grams / $loose->grams)];
    }
}

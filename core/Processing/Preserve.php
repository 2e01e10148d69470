<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

use Hylognosis\Measure\Mass;

/**
 * Jelly, jam and syrup: fruit or juice and sugar, boiled until so much of it is dissolved. Jelly sets and keeps at
 * about 65 % (common practice; it boils then some 4.5 °C above where water boils that day).
 */
final readonly class Preserve
{
    public const SETS_AT = 0.65;

    /**
     * @param Mass  $all     what is in the pot before it boils
     * @param Mass  $made    what is in it when it is done
     * @param Mass  $boilOff water that has to go; nothing where there is too little water already
     */
    private function __construct(public Mass $all, public Mass $made, public Mass $boilOff)
    {
    }

    /**
     * @param float $soluble share of the fruit that is dissolved already, by a refractometer: juice 0.08 to 0.14
     * @param float $share   of all that shall be dissolved in the end
     *
     * @throws \InvalidArgumentException unless 0 ≤ soluble < 0.9 and 0 < share < 0.9, and there is something
     */
    public static function of(Mass $fruit, float $soluble, Mass $sugar, float $share = self::SETS_AT): self
    {
        if ($soluble < 0.0 || $soluble >= 0.9 || $share <= 0.0 || $share >= 0.9) {
            throw new \InvalidArgumentException('A dissolved share lies between 0 and 0.9.');
        }
        $all = $fruit->grams + $sugar->grams;
        $dissolved = $soluble * $fruit->grams + $sugar->grams;
        if ($dissolved <= 0.0) {
            throw new \InvalidArgumentException('Nothing is there to be dissolved.');
        }
        $made = min($all, $dissolved / $share);

        return new self(Mass::ofGrams($all), Mass::ofGrams($made), Mass::ofGrams($all - $made));
    }

    /**
     * Sugar that makes so much of it without boiling anything off.
     *
     * @throws \InvalidArgumentException {@see of}
     */
    public static function sugarFor(Mass $fruit, float $soluble, float $share): Mass
    {
        if ($soluble < 0.0 || $soluble >= 0.9 || $share <= 0.0 || $share >= 0.9) {
            throw new \InvalidArgumentException('A dissolved share lies between 0 and 0.9.');
        }

        return Mass::ofGrams(max(0.0, ($fruit->grams * ($share - $soluble)) / (1 - $share)));
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * Points by which very large trees are compared: girth in inches + height in feet + a quarter of the average
 * crown spread in feet (rule of the American champion-tree register; published in its measuring guidelines).
 */
final readonly class ChampionPoints
{
    private function __construct(public float $points)
    {
    }

    /** @throws \InvalidArgumentException if a measure is negative */
    public static function of(Length $girth, Length $height, Length $crownSpread): self
    {
        foreach (['girth' => $girth, 'height' => $height, 'crown spread' => $crownSpread] as $name => $length) {
            if ($length->metres() < 0) {
                throw new \InvalidArgumentException(\sprintf('The %s of a tree is not negative.', $name));
            }
        }

        return new self($girth->inches() + $height->feet() + $crownSpread->feet() / 4);
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * Points by which very large trees are compared: girth in inches + height in feet + a quarter of the average
 * crown spread in feet (rule of the American champion-tree register; published in its measuring guidelines).
 */
final readonly class ChampionPoints
{
    /** Errors of a tape round bark, of a height and of a spread, where nobody says they were less. Common practice. */
    private const GIRTH_INCHES = 1.0;
    private const HEIGHT = 0.03;
    private const SPREAD = 0.05;

    /** @param float $error of the points, one standard deviation */
    private function __construct(public float $points, public float $error)
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

        return new self(
            $girth->inches() + $height->feet() + $crownSpread->feet() / 4,
            sqrt(
                self::GIRTH_INCHES ** 2 +
                    (self::HEIGHT * $height->feet()) ** 2 +
                    ((self::SPREAD * $crownSpread->feet()) / 4) ** 2,
            ),
        );
    }

    /** Whether it has more points than another by more than both may be off, nineteen times of twenty. */
    public function leads(self $other): bool
    {
        return $this->points - $other->points > 1.96 * sqrt($this->error ** 2 + $other->error ** 2);
    }
}

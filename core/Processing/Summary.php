<?php

declare(strict_types=1);

namespace Hylognosis\Processing;

/** Some figures of one kind, told short: the middle one, and between which half of them lie. */
final readonly class Summary
{
    private function __construct(public float $median, public float $lower, public float $upper, public int $count)
    {
    }

    /**
     * Quartiles by linear interpolation, as NumPy does it unless it is told otherwise.
     *
     * @param non-empty-list<float> $figures
     */
    public static function of(array $figures): self
    {
        sort($figures);

        return new self(self::at($figures, 0.5), self::at($figures, 0.25), self::at($figures, 0.75), \count($figures));
    }

    /** @param non-empty-list<float> $sorted */
    private static function at(array $sorted, float $share): float
    {
        $place = $share * (\count($sorted) - 1);
        $below = (int) floor($place);
        $above = min($below + 1, \count($sorted) - 1);

        return $sorted[$below] + ($place - $below) * ($sorted[$above] - $sorted[$below]);
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * What a twig grew year by year, from ring scar to ring scar, the tip first.
 *
 * Source: one ring scar to the next is one season's growth (common practice). Some kinds grow twice in a summer and
 * leave a second, weaker ring.
 */
final readonly class TwigYears
{
    /**
     * @param int    $years  seasons on the twig
     * @param Length $middle the middle one of the seasons that are over
     * @param float  $last   the last whole season against that: 1 is the same
     */
    private function __construct(public int $years, public Length $middle, public float $last)
    {
    }

    /**
     * @param list<Length> $pieces  each more than 0; the first is at the tip
     * @param bool         $growing the piece at the tip still grows
     *
     * @throws \InvalidArgumentException if there is no season that is over
     */
    public static function of(array $pieces, bool $growing): self
    {
        $over = \array_slice($pieces, $growing ? 1 : 0);
        if ([] === $over) {
            throw new \InvalidArgumentException('There is no season that is over.');
        }
        $metres = [];
        foreach ($over as $piece) {
            $metres[] =
                $piece->metres() > 0.0
                    ? $piece->metres()
                    : throw new \InvalidArgumentException('Each piece is longer than nothing.');
        }
        $sorted = $metres;
        sort($sorted);
        $half = intdiv(\count($sorted), 2);
        $middle = 1 === \count($sorted) % 2 ? $sorted[$half] : ($sorted[$half - 1] + $sorted[$half]) / 2;

        return new self(\count($pieces), Length::ofMetres($middle), $metres[0] / $middle);
    }
}

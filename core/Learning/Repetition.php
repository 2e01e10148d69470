<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/**
 * When something is asked again: SM-2 (P. A. Woźniak, Optimization of learning, 1990, chapter 3.2, from memory). After
 * 1 and 6 days, then each time as much later as it is easy; what was forgotten begins anew, and stays as hard as it is.
 */
final readonly class Repetition
{
    private const FIRST_EASE = 2.5;
    private const LEAST_EASE = 1.3;
    /** An answer of this quality or better was remembered. */
    private const REMEMBERED = 3;

    /**
     * @param int   $times    remembered in a row
     * @param int   $days     until it is asked again; 0: it is new
     * @param float $ease     1.3 or more
     */
    public function __construct(public int $times = 0, public int $days = 0, public float $ease = self::FIRST_EASE)
    {
    }

    /**
     * @param int $quality 0 (nothing) to 5 (at once and sure)
     *
     * @throws \InvalidArgumentException if it is no such quality
     */
    public function answered(int $quality): self
    {
        if ($quality < 0 || $quality > 5) {
            throw new \InvalidArgumentException(\sprintf('An answer is worth 0 to 5; not %d.', $quality));
        }
        $ease = max(self::LEAST_EASE, $this->ease + 0.1 - (5 - $quality) * (0.08 + (5 - $quality) * 0.02));
        if ($quality < self::REMEMBERED) {
            return new self(0, 1, $ease);
        }

        return new self(
            $this->times + 1,
            match ($this->times) {
                0 => 1,
                1 => 6,
                default => (int) round($this->days * $this->ease),
            },
            $ease,
        );
    }
}

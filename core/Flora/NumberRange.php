<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Units;

/**
 * A measured range with rare extremes, as floras print it: `(3–)5–9(–12)`. All four bounds are in the
 * character's own unit. Nine specimens in ten lie in the normal range; the extremes share the rest.
 */
final readonly class NumberRange
{
    /** Share of specimens outside the normal range where extremes are given. */
    public const BEYOND_NORMAL = 0.1;

    private function __construct(public float $least, public float $low, public float $high, public float $most)
    {
    }

    /** @throws UnusableRange unless least ≤ low ≤ high ≤ most */
    public static function of(float $least, float $low, float $high, float $most): self
    {
        /** @var array<self> $known */
        static $known = []; // thousands in a flora, of a few hundred kinds

        return $least <= $low && $low <= $high && $high <= $most
            ? ($known["$least $low $high $most"] ??= new self($least, $low, $high, $most))
            : throw new UnusableRange(
                \sprintf('A range must rise: (%s–)%s–%s(–%s) does not.', $least, $low, $high, $most),
            );
    }

    /**
     * @param string $text `5–9`, `(3–)5–9`, `5–9(–12)`, `(3–)5–9(–12)` or `7`; a hyphen may stand for the dash
     *
     * @throws UnusableRange if the text is no such range
     */
    public static function parse(string $text): self
    {
        $n = '\d+(?:\.\d+)?';
        if (
            1 !==
            preg_match("/^(?:\\(($n)[–-]\\))?($n)(?:[–-]($n))?(?:\\([–-]($n)\\))?$/u", str_replace(' ', '', $text), $m)
        ) {
            throw new UnusableRange(\sprintf('"%s" is no range; write it like (3–)5–9(–12).', $text));
        }
        $low = (float) $m[2];
        $high = '' === ($m[3] ?? '') ? $low : (float) $m[3];

        return self::of('' === $m[1] ? $low : (float) $m[1], $low, $high, '' === ($m[4] ?? '') ? $high : (float) $m[4]);
    }

    /** Whether the flora says this number occurs at all. */
    public function allows(float $number): bool
    {
        return $number >= $this->least && $number <= $this->most;
    }

    public function contains(float $number): bool
    {
        return $number >= $this->low && $number <= $this->high;
    }

    /**
     * Share of specimens whose value lies in the half-open interval [from, to), 0 to 1: even in the normal
     * range, and even in each extreme. For counts give whole numbers and `whole: true`.
     */
    public function share(float $from, float $to, bool $whole): float
    {
        $below = $this->low - $this->least;
        $above = $this->most - $this->high;
        $tails = (float) ($below > 0) + (float) ($above > 0);
        $normal = 0.0 === $tails ? 1.0 : 1.0 - self::BEYOND_NORMAL;
        $tail = 0.0 === $tails ? 0.0 : self::BEYOND_NORMAL / $tails;
        $step = $whole ? 1.0 : 0.0;
        // A measured range of no width is read with the width of the reading: a fiftieth of its value.
        $width = $this->high - $this->low + $step;
        if ($width <= 0.0) {
            $width = max(abs($this->high) / 50, 1e-6);
        }

        return ($normal * self::overlap($from, $to, $this->low, $this->low + $width)) / $width +
            ($below > 0 ? ($tail * self::overlap($from, $to, $this->least, $this->low)) / $below : 0.0) +
            ($above > 0
                ? ($tail * self::overlap($from, $to, $this->low + $width, $this->low + $width + $above)) / $above
                : 0.0);
    }

    public function __toString(): string
    {
        return ($this->least < $this->low ? '('.$this->least.'–)' : '').
            $this->low.
            ($this->high > $this->low ? '–'.$this->high : '').
            ($this->most > $this->high ? '(–'.$this->most.')' : '');
    }

    /** As a reader of those units reads it, with its unit. */
    public function words(string $unit, Units $units): string
    {
        $in = static fn (float $number): float => $units->number($number, $unit);

        return trim(
            self::of($in($this->least), $in($this->low), $in($this->high), $in($this->most)).
                ' '.
                $units->insteadOf($unit),
        );
    }

    private static function overlap(float $from, float $to, float $low, float $high): float
    {
        return max(0.0, min($to, $high) - max($from, $low));
    }
}

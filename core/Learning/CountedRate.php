<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Flora\Character;
use Hylognosis\Identification\MisreadingModel;
use Hylognosis\Measure\BetaShare;

/**
 * How often one character was misread by a school, counted: the flora's rate stands behind it like so many looks
 * ({@see Confusions::PRIOR_LOOKS}), so that few of them move it little.
 */
final readonly class CountedRate
{
    /** With fewer looks nothing is proposed (an estimate: then the counts outweigh what the flora says). */
    public const LEAST_LOOKS = 30;
    /** What a flora takes for the rate of a character, at most. */
    public const MOST = 0.3;
    /** Two states are named as confused from so many times on. */
    private const NAMED_FROM = 3;

    /**
     * @param float                       $rate       0 to 1
     * @param float                       $low        95 % of what the rate can be lies above
     * @param float                       $high       and below
     * @param array<string, list<string>> $confusions true state → what it was often read as
     */
    private function __construct(
        public Character $character,
        public int $looks,
        public int $wrong,
        public float $rate,
        public float $low,
        public float $high,
        public array $confusions,
    ) {
    }

    /** @param list<Reading> $readings of that character */
    public static function of(Character $character, array $readings): self
    {
        $wrong = \count(array_filter($readings, static fn (Reading $r): bool => !$r->isRight($character)));
        $right = \count($readings) - $wrong;
        $said = max(0.002, MisreadingModel::plainRate($character));
        $share = BetaShare::of(
            $wrong + Confusions::PRIOR_LOOKS * $said,
            $right + Confusions::PRIOR_LOOKS * (1.0 - $said),
        );
        [$low, $high] = $share->interval();
        $confusions = [];
        $worst = $character->isNumeric() ? [] : Confusions::of($character, $readings)->worst();
        foreach ($worst as [$true, $read, $times]) {
            if (
                $times >= self::NAMED_FROM
                && !\in_array($read, $character->legibility->confusions[$true] ?? [], true)
            ) {
                $confusions[$true][] = $read;
            }
        }

        return new self($character, \count($readings), $wrong, $share->mean(), $low, $high, $confusions);
    }

    public function isWellFounded(): bool
    {
        return $this->looks >= self::LEAST_LOOKS;
    }

    /** As a flora holds it: to the hundredth, and no more than it takes. */
    public function proposed(): float
    {
        return min(self::MOST, max(0.01, round($this->rate, 2)));
    }
}

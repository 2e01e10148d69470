<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Examination\Certainty;
use Hylognosis\Measure\Proportion;

/**
 * How often somebody is right when sure, likely and unsure, and how well that fits: the mean square of how far the
 * stated chance of being right is from what came of it (G. W. Brier, Monthly Weather Review 78, 1950; memory).
 */
final readonly class Calibration
{
    /** What each word is taken to mean. Common practice: 19 of 20, 4 of 5, a little better than even. */
    public const STATED = ['sure' => 0.95, 'likely' => 0.8, 'unsure' => 0.55];

    /**
     * @param array<string, Proportion> $right certainty → how often right; words never used are missing
     * @param float|null                $brier 0 (always right and sure) to 1; null where nothing was read
     */
    private function __construct(public array $right, public ?float $brier)
    {
    }

    /** @param list<array{Certainty, bool}> $readings with whether they were right */
    public static function of(array $readings): self
    {
        $counts = [];
        $sum = 0.0;
        foreach ($readings as [$certainty, $isRight]) {
            $counts[$certainty->value][] = (int) $isRight;
            $sum += (self::STATED[$certainty->value] - (int) $isRight) ** 2;
        }

        return new self(
            array_map(static fn (array $all): Proportion => Proportion::of(array_sum($all), \count($all)), $counts),
            [] === $readings ? null : $sum / \count($readings),
        );
    }
}

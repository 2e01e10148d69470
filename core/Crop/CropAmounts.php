<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Measure\Amount;
use Hylognosis\Measure\Cholesky;
use Hylognosis\Measure\Normal;

/**
 * How much a good year of a tree brings home: the logarithm of it is normal. What the table says of the kind is the
 * beginning; what was brought home before, from this tree and from others of the kind, moves it.
 */
final readonly class CropAmounts
{
    /**
     * Of the variance of the table's range: how far it may be off for a school's trees, between trees, between years.
     */
    private const KIND = 0.4;
    private const TREE = 0.3;
    /**
     * Nobody said what a year was like: as if it were two thirds of a good one, and that much less sure. Common
     * practice.
     */
    private const UNTOLD_SHARE = 0.6;
    private const UNTOLD_SPREAD = 0.5;
    /** Older takes than the newest so many change little. */
    private const MOST = 60;

    /**
     * @param float $mean     of the logarithm of a good year's amount
     * @param float $spread   its standard deviation
     * @param int   $ownYears years this tree was taken from
     */
    private function __construct(public float $mean, public float $spread, public int $ownYears)
    {
    }

    public static function of(CropSigns $signs): self
    {
        $takes = array_values(
            array_filter($signs->takes, static fn (Take $t): bool => $t->amount > 0 && CropGrade::None !== $t->grade),
        );
        usort($takes, static fn (Take $a, Take $b): int => $b->year <=> $a->year);
        $takes = \array_slice($takes, 0, self::MOST);
        $good = array_map(
            static fn (Take $t): float => log($t->amount / ($t->grade?->share() ?? self::UNTOLD_SHARE)),
            $takes,
        );
        [$least, $most] = [self::logOf($signs->typical->least), self::logOf($signs->typical->most)];
        $mean = ($least + $most) / 2;
        $variance = (($most - $least) / (2 * Normal::EIGHTY)) ** 2;
        [$kind, $tree] = [self::KIND * $variance, self::TREE * $variance];
        $rest = $variance - $kind - $tree;
        $shared = static fn (string $one, string $other): float => $kind + ($one === $other ? $tree : 0.0);
        $matrix = $toward = $off = [];
        foreach ($takes as $i => $take) {
            foreach ($takes as $j => $other) {
                $matrix[$i][$j] =
                    $shared($take->tree, $other->tree) +
                    ($i === $j ? $rest + (null === $take->grade ? self::UNTOLD_SPREAD ** 2 : 0.0) : 0.0);
            }
            $toward[$i] = $shared($take->tree, $signs->tree);
            $off[$i] = $good[$i] - $mean;
        }
        $cholesky = Cholesky::of($matrix);
        $own = \count(array_filter($takes, static fn (Take $t): bool => $t->tree === $signs->tree));

        return new self(
            $mean + self::product($toward, $cholesky->solve($off)),
            sqrt($variance - self::product($toward, $cholesky->solve($toward))),
            $own,
        );
    }

    private static function logOf(Amount $amount): float
    {
        return log($amount->value * $amount->unit->inBase());
    }

    /**
     * @param array<int, float> $one
     * @param list<float>       $other
     */
    private static function product(array $one, array $other): float
    {
        $sum = 0.0;
        foreach ($other as $i => $value) {
            $sum += $one[$i] * $value;
        }

        return $sum;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Examination\Agreement;

/**
 * How far several people who scored the same trees agree in one character: AC1, and kappa where the same number scored
 * each tree, with an interval of 95 % by leaving out one tree at a time.
 *
 * Source: the jackknife, R. G. Miller, Biometrika 61 (1974) 1–15 (memory).
 */
final readonly class CharacterAgreement
{
    private const Z = 1.96;

    /**
     * @param int                        $trees    scored by two or more
     * @param float|null                 $kappa    Fleiss's; null where not the same number scored each tree
     * @param array{float, float}|null   $interval of AC1; null of fewer than three trees
     */
    private function __construct(
        public int $trees,
        public float $ac1,
        public ?float $kappa,
        public ?array $interval,
    ) {
    }

    /** @param non-empty-list<array<string, int>> $counts for each tree, how many read which state */
    public static function of(array $counts): self
    {
        $n = \count($counts);
        $raters = array_unique(array_map(array_sum(...), $counts));

        return new self(
            $n,
            Agreement::gwet($counts),
            1 === \count($raters) ? Agreement::fleiss($counts) : null,
            $n < 3 ? null : self::interval($counts),
        );
    }

    /**
     * @param list<array<string, int>> $counts
     *
     * @return array{float, float}
     */
    private static function interval(array $counts): array
    {
        $n = \count($counts);
        $whole = Agreement::gwet($counts);
        $without = [];
        foreach (array_keys($counts) as $i) {
            $rest = $counts;
            unset($rest[$i]);
            $without[] = Agreement::gwet(array_values($rest));
        }
        $mean = array_sum($without) / $n;
        $squares = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $without));
        $half = self::Z * sqrt((($n - 1) / $n) * $squares);

        return [max(-1.0, $whole - $half), min(1.0, $whole + $half)];
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Examination\Agreement;

/**
 * How far several people who scored the same trees agree in one character: AC1, and kappa, Cohen's where the same two
 * scored each tree, Fleiss's where the same number did, each with an interval of 95 % by leaving out one tree at
 * a time.
 *
 * Source: the jackknife, R. G. Miller, Biometrika 61 (1974) 1–15 (memory).
 */
final readonly class CharacterAgreement
{
    private const Z = 1.96;

    /**
     * @param int                        $trees    scored by two or more
     * @param float|null                 $kappa    null where not the same number scored each tree
     * @param array{float, float}|null   $interval of AC1; null of fewer than three trees
     * @param array{float, float}|null   $kappaInterval of kappa; null of fewer than three trees, or where there is none
     * @param bool                       $isCohens it is the same two people's
     */
    private function __construct(
        public int $trees,
        public float $ac1,
        public ?float $kappa,
        public ?array $interval,
        public ?array $kappaInterval = null,
        public bool $isCohens = false,
    ) {
    }

    /**
     * By the people who read it.
     *
     * @param non-empty-list<array<string, string>> $read for each tree, person → state
     */
    public static function byPeople(array $read): self
    {
        $people = array_unique(array_map(static function (array $by): string {
            ksort($by);

            return implode("\n", array_keys($by));
        }, $read));
        $all = self::of(array_map(array_count_values(...), $read));
        $pair = explode("\n", $people[0] ?? '');
        if (1 !== \count($people) || 2 !== \count($pair)) {
            return $all;
        }
        $of = static fn (array $trees, string $who): array => array_values(
            array_filter(array_column($trees, $who), is_string(...)),
        );
        $cohen = static fn (array $trees): float => Agreement::cohen($of($trees, $pair[0]), $of($trees, $pair[1]));

        return new self(
            $all->trees,
            $all->ac1,
            $cohen($read),
            $all->interval,
            $all->trees < 3 ? null : self::interval($read, $cohen),
            true,
        );
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
            $n < 3 ? null : self::interval($counts, Agreement::gwet(...)),
            $n < 3 || 1 !== \count($raters) ? null : self::interval($counts, Agreement::fleiss(...)),
        );
    }

    /**
     * @template T of array<string, int|string>
     *
     * @param non-empty-list<T>                  $trees
     * @param callable(non-empty-list<T>): float $figure
     *
     * @return array{float, float}
     */
    private static function interval(array $trees, callable $figure): array
    {
        $n = \count($trees);
        $whole = $figure($trees);
        $without = [];
        foreach (array_keys($trees) as $i) {
            $rest = $trees;
            unset($rest[$i]);
            if ([] !== $rest) {
                $without[] = $figure(array_values($rest));
            }
        }
        $mean = array_sum($without) / $n;
        $squares = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $without));
        $half = self::Z * sqrt((($n - 1) / $n) * $squares);

        return [max(-1.0, $whole - $half), min(1.0, $whole + $half)];
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Route;

/**
 * In which order to go to several places, from a start to an end: exact for up to twelve stops, good for more. Ways up
 * and down the same hill take different times.
 *
 * Sources: Held & Karp 1962 for the exact one; 2-opt (Croes 1958) and or-opt (Or 1976) from every nearest-neighbour
 * start for the others (memory).
 */
final readonly class Tour
{
    public const EXACT = 12;
    /** Starts of the search; more gain next to nothing. */
    private const STARTS = 5;

    /**
     * @param list<int> $order   the stops, without start and end
     * @param float     $seconds of the whole way
     */
    private function __construct(public array $order, public float $seconds, public bool $isExact)
    {
    }

    /**
     * @param list<list<float>> $times seconds from each place to each; the first is the start, the last the end
     *
     * @throws \InvalidArgumentException if it is no square of at least two
     */
    public static function through(array $times): self
    {
        $size = \count($times);
        foreach ($times as $row) {
            if ($size < 2 || \count($row) !== $size) {
                throw new \InvalidArgumentException(
                    'A tour needs a square of times between at least a start and an end.',
                );
            }
        }
        $stops = $size > 2 ? range(1, $size - 2) : [];
        if (\count($stops) <= self::EXACT) {
            $order = self::exact($times, $stops);

            return new self($order, self::length($times, $order), true);
        }
        $best = null;
        $least = \INF;
        foreach (self::starts($times, $stops) as $order) {
            $order = self::improved($times, $order);
            $length = self::length($times, $order);
            if ($length < $least) {
                [$best, $least] = [$order, $length];
            }
        }

        return new self($best ?? $stops, $least, false);
    }

    /**
     * @param list<list<float>> $times
     * @param list<int>         $order stops in the order they are gone to
     */
    public static function length(array $times, array $order): float
    {
        $seconds = 0.0;
        $at = 0;
        foreach ([...$order, \count($times) - 1] as $next) {
            $seconds += $times[$at][$next];
            $at = $next;
        }

        return $seconds;
    }

    /**
     * @param list<list<float>> $times
     * @param list<int>         $stops
     *
     * @return list<int>
     */
    private static function exact(array $times, array $stops): array
    {
        $count = \count($stops);
        if (0 === $count) {
            return [];
        }
        $end = \count($times) - 1;
        // by the set of stops gone to, and the last of them: the shortest way, and the one before
        $best = $before = [];
        foreach ($stops as $i => $stop) {
            $best[1 << $i][$i] = $times[0][$stop];
        }
        $all = (1 << $count) - 1;
        for ($set = 1; $set <= $all; ++$set) {
            foreach ($best[$set] ?? [] as $last => $way) {
                for ($i = 0; $i < $count; ++$i) {
                    if (0 !== ($set & (1 << $i))) {
                        continue;
                    }
                    $next = $set | (1 << $i);
                    $longer = $way + $times[$stops[$last]][$stops[$i]];
                    if ($longer < ($best[$next][$i] ?? \INF)) {
                        $best[$next][$i] = $longer;
                        $before[$next][$i] = $last;
                    }
                }
            }
        }
        $last = 0;
        $least = \INF;
        foreach ($best[$all] as $i => $way) {
            if ($way + $times[$stops[$i]][$end] < $least) {
                [$last, $least] = [$i, $way + $times[$stops[$i]][$end]];
            }
        }
        $order = [];
        for ($set = $all;; $set ^= 1 << $last, $last = $previous) {
            array_unshift($order, $stops[$last]);
            $previous = $before[$set][$last] ?? null;
            if (null === $previous) {
                return $order;
            }
        }
    }

    /**
     * Always to the nearest that is left, with another first stop each time.
     *
     * @param list<list<float>> $times
     * @param list<int>         $stops
     *
     * @return iterable<list<int>>
     */
    private static function starts(array $times, array $stops): iterable
    {
        $firsts = $stops;
        usort($firsts, static fn (int $a, int $b): int => $times[0][$a] <=> $times[0][$b]);
        $step = max(1, intdiv(\count($firsts), self::STARTS));
        for ($k = 0; $k < \count($firsts); $k += $step) {
            $order = [$firsts[$k]];
            $left = array_fill_keys($stops, true);
            unset($left[$firsts[$k]]);
            while ([] !== $left) {
                $from = $times[$order[\count($order) - 1]];
                $nearest = (int) array_key_first($left);
                foreach ($left as $stop => $_) {
                    if ($from[$stop] < $from[$nearest]) {
                        $nearest = $stop;
                    }
                }
                $order[] = $nearest;
                unset($left[$nearest]);
            }
            yield $order;
        }
    }

    /**
     * Turns stretches round and sets up to three stops elsewhere, as long as that shortens the way.
     *
     * @param list<list<float>> $times
     * @param list<int>         $order
     *
     * @return list<int>
     */
    private static function improved(array $times, array $order): array
    {
        $path = [0, ...$order, \count($times) - 1];
        do {
            $before = $path;
            $path = self::turned($times, $path);
            $path = self::reset($times, $path);
        } while ($path !== $before);

        return \array_slice($path, 1, -1);
    }

    /**
     * @param list<list<float>> $times
     * @param list<int>         $path
     *
     * @return list<int>
     */
    private static function turned(array $times, array $path): array
    {
        $last = \count($path) - 1;
        do {
            $found = false;
            for ($i = 0; $i < $last - 2; ++$i) {
                $forth = $back = 0.0;
                $a = $path[$i];
                $b = $path[$i + 1];
                for ($j = $i + 2; $j < $last; ++$j) {
                    // the stretch from i + 1 to j, gone the other way
                    $forth += $times[$path[$j - 1]][$path[$j]];
                    $back += $times[$path[$j]][$path[$j - 1]];
                    $c = $path[$j];
                    $d = $path[$j + 1];
                    if ($times[$a][$c] + $back + $times[$b][$d] < $times[$a][$b] + $forth + $times[$c][$d] - 1e-9) {
                        array_splice($path, $i + 1, $j - $i, array_reverse(\array_slice($path, $i + 1, $j - $i)));
                        $found = true;
                        break;
                    }
                }
            }
        } while ($found);

        return array_values($path);
    }

    /**
     * @param list<list<float>> $times
     * @param list<int>         $path
     *
     * @return list<int>
     */
    private static function reset(array $times, array $path): array
    {
        $last = \count($path) - 1;
        for ($many = 3; $many >= 1; --$many) {
            for ($i = 1; $i + $many <= $last; ++$i) {
                $j = $i + $many - 1;
                $gain =
                    $times[$path[$i - 1]][$path[$i]] +
                    $times[$path[$j]][$path[$j + 1]] -
                    $times[$path[$i - 1]][$path[$j + 1]];
                if ($gain <= 1e-9) {
                    continue;
                }
                for ($k = 0; $k < $last; ++$k) {
                    if ($k >= $i - 1 && $k <= $j) {
                        continue;
                    }
                    $cost =
                        $times[$path[$k]][$path[$i]] +
                        $times[$path[$j]][$path[$k + 1]] -
                        $times[$path[$k]][$path[$k + 1]];
                    if ($cost < $gain - 1e-9) {
                        $piece = array_splice($path, $i, $many);
                        array_splice($path, $k < $i ? $k + 1 : $k + 1 - $many, 0, $piece);
                        break;
                    }
                }
            }
        }

        return array_values($path);
    }
}

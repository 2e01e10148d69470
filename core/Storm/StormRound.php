<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

use Hylognosis\Measure\Length;
use Hylognosis\Position\GroundLine;
use Hylognosis\Route\Tour;
use Hylognosis\Route\WalkingTime;

/**
 * In which order trees are gone to after a storm: those first that can poison animals grazing within their reach, then
 * the others over pastures, then the rest; each of these bands by the shortest walk from where the one before ended. A
 * fence is crossed only at its gate, where a gate is known.
 */
final readonly class StormRound
{
    /**
     * @param list<StormMark> $stops   in the order they are gone to
     * @param list<int>       $seconds of the way to each of them
     */
    private function __construct(public array $stops, public array $seconds, public int $wholeSeconds)
    {
    }

    /**
     * @param list<StormMark>   $marks
     * @param float             $latitude  where one begins and ends, degrees
     * @param list<FencedGround> $grounds
     */
    public static function of(array $marks, float $latitude, float $longitude, array $grounds): self
    {
        usort($marks, static fn (StormMark $a, StormMark $b): int => $a->before($b));
        $bands = [];
        foreach ($marks as $mark) {
            $bands[$mark->band()][] = $mark;
        }
        $at = [$latitude, $longitude];
        $stops = $seconds = [];
        $last = array_key_last($bands);
        foreach ($bands as $band => $those) {
            $points = [$at, ...array_map(static fn (StormMark $m): array => [$m->latitude, $m->longitude], $those)];
            // only the last band has to lead home; the others may end wherever the next begins
            $home = $band === $last ? [$latitude, $longitude] : null;
            $times = self::times($points, $home, $grounds);
            $from = 0;
            foreach (Tour::through($times)->order as $n) {
                $stops[] = $those[$n - 1];
                $seconds[] = (int) round($times[$from][$n]);
                $from = $n;
            }
            $at = $points[$from];
        }
        $back = [] === $stops ? 0 : (int) round(self::way($at, [$latitude, $longitude], $grounds));

        return new self($stops, $seconds, array_sum($seconds) + $back);
    }

    /**
     * @param non-empty-list<array{float, float}> $points
     * @param array{float, float}|null            $home
     * @param list<FencedGround>                  $grounds
     *
     * @return list<list<float>>
     */
    private static function times(array $points, ?array $home, array $grounds): array
    {
        $times = [];
        foreach ($points as $from) {
            $row = array_map(static fn (array $to): float => self::way($from, $to, $grounds), $points);
            $row[] = null === $home ? 0.0 : self::way($from, $home, $grounds);
            $times[] = $row;
        }
        $times[] = [...array_fill(0, \count($points), 0.0), 0.0];

        return $times;
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     * @param list<FencedGround>  $grounds
     */
    private static function way(array $from, array $to, array $grounds): float
    {
        // a way into or out of a pasture leads by its gate: out of the one first, then into the other
        $by = [];
        foreach ($grounds as $ground) {
            if ([] === $ground->gate) {
                continue;
            }
            $out = $ground->area->contains($from[0], $from[1]);
            $in = $ground->area->contains($to[0], $to[1]);
            if ($out && !$in) {
                array_unshift($by, $ground->gate);
            } elseif ($in && !$out) {
                $by[] = $ground->gate;
            }
        }
        $metres = 0.0;
        foreach ([...$by, $to] as $next) {
            $metres += GroundLine::between($from[0], $from[1], $next[0], $next[1])->length->metres();
            $from = $next;
        }

        return WalkingTime::seconds(Length::ofMetres($metres), 0.0);
    }
}

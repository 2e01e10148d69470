<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Measure\Normal;
use Hylognosis\Season\Partner;

/**
 * What may be expected of one tree's crop of one year: how likely it is none, poor, fair or good, what speaks for it
 * and against it, and how much one person may bring home. docs/the-year.md works one by hand.
 */
final readonly class CropOutlook
{
    /** A crop that fails so surely is not gone for. Common practice. */
    public const BARE = 0.8;

    /** Of a fair crop seen hanging: so sure; its neighbours share the rest. */
    private const SEEN = 0.8;
    /**
     * A tree that begins to bear, one past its best, one with no second tree on record: share of a full crop. Common
     * practice.
     */
    private const BEGINS = 0.3;
    private const PAST = 0.6;
    private const ALONE = 0.6;
    /** A tree too young bears by way of exception. */
    private const TOO_YOUNG = 0.95;
    /** The trees of a wood bear together, but not all of them. Common practice. */
    private const TOGETHER = 0.6;
    /** Flowers were seen: a year without any crop is so much less likely. Common practice. */
    private const FLOWERED = 0.3;

    /**
     * @param array{none: float, poor: float, fair: float, good: float} $chances they add up to 1
     * @param array{float, float, float} $amounts so much that less comes one, five and nine times of ten, in the
     *                                            base of the unit
     * @param list<CropPoint>            $points  what speaks for it, against it, and what is not known
     */
    private function __construct(public array $chances, public array $amounts, public array $points)
    {
    }

    public static function of(CropSigns $signs): self
    {
        $points = [];
        $chances = self::chances($signs, $points);
        $factor = self::factor($signs, $points);
        $expected = CropAmounts::of($signs);
        if ($expected->ownYears > 0) {
            $points[] = new CropPoint(CropPointKind::OwnTakes, ['years' => $expected->ownYears]);
        }

        return new self($chances, self::amounts($chances, $expected, $factor), $points);
    }

    /**
     * @param list<CropPoint> $points
     *
     * @return array{none: float, poor: float, fair: float, good: float}
     */
    private static function chances(CropSigns $signs, array &$points): array
    {
        if (true === $signs->male) {
            $points[] = new CropPoint(CropPointKind::Male);

            return ['none' => 1.0, 'poor' => 0.0, 'fair' => 0.0, 'good' => 0.0];
        }
        $seen = $signs->grades[$signs->year] ?? null;
        if (null !== $seen) {
            $points[] = new CropPoint(
                CropGrade::None === $seen ? CropPointKind::SeenBare : CropPointKind::SeenHanging,
                ['grade' => $seen->value],
            );

            return self::around($seen);
        }
        $interval = $signs->figures[FigureKind::MastInterval->value] ?? null;
        $chances = MastYears::chances($interval, $signs->grades, $signs->year);
        $since = MastYears::sinceGood($signs->grades, $signs->year);
        if (null !== $interval && $interval->high > 1) {
            $with = ['since' => $since ?? 0, 'from' => $interval->low, 'to' => $interval->high];
            $points[] = new CropPoint(
                match (true) {
                    null === $since => CropPointKind::NoGoodYearKnown,
                    $since < $interval->low => CropPointKind::AfterGoodYear,
                    default => CropPointKind::GoodYearDue,
                },
                $with,
            );
        }
        if (null !== $signs->others) {
            $points[] = new CropPoint(
                \in_array($signs->others, [CropGrade::None, CropGrade::Poor], true)
                    ? CropPointKind::OthersBare
                    : CropPointKind::OthersHanging,
                ['grade' => $signs->others->value],
            );
            foreach (self::around($signs->others) as $grade => $chance) {
                $chances[$grade] = (1 - self::TOGETHER) * $chances[$grade] + self::TOGETHER * $chance;
            }
        }
        if ($signs->hasFlowered) {
            $points[] = new CropPoint(CropPointKind::FlowersSeen);
            $chances = self::withNone($chances, self::FLOWERED * $chances['none']);
        }
        if (null === $signs->male && Partner::OtherSex === $signs->wants && !$signs->hasBorne()) {
            $points[] = new CropPoint(CropPointKind::SexUnknown);
            $chances = self::withNone($chances, 0.5 + 0.5 * $chances['none']);
        }
        if (self::isTooYoung($signs)) {
            $chances = self::withNone($chances, max(self::TOO_YOUNG, $chances['none']));
        }

        return $chances;
    }

    /** @return array{none: float, poor: float, fair: float, good: float} */
    private static function around(CropGrade $seen): array
    {
        $chances = ['none' => 0.0, 'poor' => 0.0, 'fair' => 0.0, 'good' => 0.0];
        $grades = array_keys($chances);
        $at = (int) array_search($seen->value, $grades, true);
        $beside = array_values(array_filter([$at - 1, $at + 1], static fn (int $i): bool => isset($grades[$i])));
        $chances[$seen->value] = self::SEEN;
        foreach ($beside as $i) {
            $chances[$grades[$i]] = (1 - self::SEEN) / \count($beside);
        }

        return $chances;
    }

    /**
     * @param array{none: float, poor: float, fair: float, good: float} $chances
     *
     * @return array{none: float, poor: float, fair: float, good: float} the others in proportion
     */
    private static function withNone(array $chances, float $none): array
    {
        $rest = 1 - $chances['none'];
        $part = $rest > 0 ? (1 - $none) / $rest : 0.0;

        return [
            'none' => $rest > 0 ? $none : 1.0,
            'poor' => $chances['poor'] * $part,
            'fair' => $chances['fair'] * $part,
            'good' => $chances['good'] * $part,
        ];
    }

    /**
     * What makes a crop of any grade smaller.
     *
     * @param list<CropPoint> $points
     */
    private static function factor(CropSigns $signs, array &$points): float
    {
        if (true === $signs->male) {
            return 1.0;
        }
        $factor = self::ageFactor($signs, $points) * self::partnerFactor($signs, $points);
        // what hangs there has come through the frost
        if (!$signs->atRisk || isset($signs->grades[$signs->year])) {
            return $factor;
        }
        if (null === $signs->frost) {
            $points[] = new CropPoint(CropPointKind::FrostUnknown);

            return $factor;
        }
        $loss = $signs->frost->loss;
        $points[] = new CropPoint($loss < 0.05 ? CropPointKind::NoFrost : CropPointKind::FrostTook, [
            'night' => $signs->frost->night->format('Y-m-d'),
            'celsius' => $signs->frost->celsius,
            'loss' => $loss,
        ]);

        return $factor * (1 - $loss);
    }

    /** @param list<CropPoint> $points */
    private static function ageFactor(CropSigns $signs, array &$points): float
    {
        $from = $signs->figures[FigureKind::BearsFrom->value] ?? null;
        $best = $signs->figures[FigureKind::BestYears->value] ?? null;
        if (null === $signs->age) {
            if (self::isTooYoung($signs)) {
                $points[] = new CropPoint(CropPointKind::TooYoung);
            } elseif (LifeStage::Young === $signs->stage) {
                $points[] = new CropPoint(CropPointKind::BeginsToBear);

                return self::BEGINS;
            } elseif (null === $signs->stage) {
                $points[] = new CropPoint(CropPointKind::AgeUnknown);
            }

            return 1.0;
        }
        [$least, $most] = $signs->age;
        $with = ['least' => round($least), 'most' => round($most)];
        if (self::isTooYoung($signs)) {
            $points[] = new CropPoint(CropPointKind::TooYoung, $with + ['from' => $from->low ?? 0]);

            return 1.0;
        }
        if (null !== $from && ($least + $most) / 2 < $from->high) {
            $points[] = new CropPoint(CropPointKind::BeginsToBear, $with + ['from' => $from->low, 'to' => $from->high]);

            return self::BEGINS;
        }
        if (null !== $best && $least > $best->most) {
            $points[] = new CropPoint(CropPointKind::PastBest, $with + ['to' => $best->most]);

            return self::PAST;
        }
        if (null !== $best && $most >= $best->low) {
            $points[] = new CropPoint(CropPointKind::BestYears, $with + ['from' => $best->low, 'to' => $best->high]);
        }

        return 1.0;
    }

    private static function isTooYoung(CropSigns $signs): bool
    {
        $from = $signs->figures[FigureKind::BearsFrom->value] ?? null;

        if ($signs->hasBorne()) {
            return false;
        }

        return null === $signs->age
            ? LifeStage::Sapling === $signs->stage
            : null !== $from && $signs->age[1] < $from->low;
    }

    /** @param list<CropPoint> $points */
    private static function partnerFactor(CropSigns $signs, array &$points): float
    {
        if (null === $signs->wants || Partner::Better === $signs->wants) {
            return 1.0;
        }
        if (true !== $signs->partner && $signs->hasBorne()) {
            return 1.0; // something served it, wherever that stands
        }
        if (null === $signs->partner) {
            $points[] = new CropPoint(CropPointKind::PartnerUnknown);

            return 1.0;
        }
        $points[] = new CropPoint($signs->partner ? CropPointKind::PartnerNear : CropPointKind::NoPartnerKnown);

        return $signs->partner ? 1.0 : self::ALONE;
    }

    /**
     * @param array{none: float, poor: float, fair: float, good: float} $chances
     *
     * @return array{float, float, float}
     */
    private static function amounts(array $chances, CropAmounts $expected, float $factor): array
    {
        $below = static function (float $log) use ($chances, $expected, $factor): float {
            $sum = $chances['none'];
            foreach ([CropGrade::Poor, CropGrade::Fair, CropGrade::Good] as $grade) {
                $middle = $expected->mean + log($grade->share() * max($factor, 1e-6));
                $sum += $chances[$grade->value] * Normal::below(($log - $middle) / $expected->spread);
            }

            return $sum;
        };
        $quantile = static function (float $probability) use ($below, $expected): float {
            [$low, $high] = [$expected->mean - 30, $expected->mean + 12 * $expected->spread];
            if ($below($low) >= $probability) {
                return 0.0;
            }
            for ($i = 0; $i < 60; ++$i) {
                $middle = ($low + $high) / 2;
                if ($below($middle) < $probability) {
                    $low = $middle;
                } else {
                    $high = $middle;
                }
            }

            return exp($high);
        };

        return [$quantile(0.1), $quantile(0.5), $quantile(0.9)];
    }
}

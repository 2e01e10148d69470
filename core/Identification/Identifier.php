<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Applicability;

/**
 * Bayes' rule over the taxa of a flora and one more hypothesis, "something this flora does not hold".
 * The prior is uniform over the taxa: how common a tree is nearby never enters a clearance.
 */
final readonly class Identifier
{
    /** Prior of "something this flora does not hold": one specimen in ten (an assumption, not a measurement). */
    public const UNLISTED = 0.1;
    /** Several values seen on one tree are not independent looks: their mean counts at most twice. */
    private const MOST_REPEATS = 2.0;

    public function __construct(private Fit $fit = new Fit(), private Tempering $tempering = new Tempering())
    {
    }

    public function identify(CompiledFlora $compiled, Examination $examination): Identification
    {
        $taxa = \count($compiled->taxa);
        $logs = array_fill(0, $taxa, log(self::prior($taxa)));
        $unlisted = log(self::UNLISTED);
        $weights = $this->tempering->weights($examination);
        $evidence = [];
        foreach ($examination->findings as $id => $finding) {
            $weight = $weights[$id];
            $row = $this->logLikelihoods($compiled, $finding);
            foreach ($row as $t => $log) {
                $row[$t] = $log * $weight;
                if ($t < $taxa) {
                    $logs[$t] += $row[$t];
                }
            }
            $unlisted += $row[$taxa];
            $evidence[$id] = $row;
        }
        $top = max([$unlisted, ...$logs]);
        $posterior = array_map(static fn (float $log): float => exp($log - $top), $logs);
        $other = exp($unlisted - $top);
        $sum = array_sum($posterior) + $other;
        foreach ($posterior as $t => $share) {
            $posterior[$t] = $share / $sum;
        }
        $best = 0;
        foreach ($posterior as $t => $share) {
            $best = $share > $posterior[$best] ? $t : $best;
        }

        return new Identification(
            $compiled,
            $examination,
            array_values($posterior),
            $other / $sum,
            $this->fit->of($compiled, $examination, $best),
            $evidence,
        );
    }

    /** Of each of so many taxa. */
    public static function prior(int $taxa): float
    {
        return (1.0 - self::UNLISTED) / $taxa;
    }

    /** @return list<float> natural logarithms by taxon number; the last one is for "something else" */
    private function logLikelihoods(CompiledFlora $compiled, Finding $finding): array
    {
        $rate = MisreadingModel::rate($finding);
        $readings = $finding->readings();
        if ([] === $readings) {
            return $this->ofNotApplicable($compiled, $finding->character->applies, $rate);
        }
        $sums = array_fill(0, \count($compiled->taxa) + 1, 0.0);
        foreach ($readings as $reading) {
            $character = $compiled->at($finding->character->id, $reading->position);
            $number = $reading->number();
            if (null !== $number) {
                $this->addNumber($sums, $compiled, $character, $number, $rate);
            } elseif (1 === \count($reading->oneOf)) {
                $this->addState($sums, $character, $character->outcomes[(string) $reading->oneOf[0]], $rate);
            } else {
                $this->addEither($sums, $character, $reading->oneOf, $rate);
            }
        }
        $pooled = min(sqrt(\count($readings)), self::MOST_REPEATS) / \count($readings);
        if (1.0 === $pooled) {
            return array_values($sums);
        }

        return array_values(array_map(static fn (float $sum): float => $sum * $pooled, $sums));
    }

    /** @param array<int, float> $sums */
    private function addState(array &$sums, CompiledCharacter $compiled, int $o, float $rate): void
    {
        $misread = $compiled->misread[$o];
        $right = 1.0 - $rate;
        foreach ($compiled->shown[$o] as $t => $share) {
            // the rule of MisreadingModel::read, written out: this is the innermost loop
            $probability = $right * $share + $rate * $misread[$t];
            $sums[$t] += log(
                $probability > MisreadingModel::LEAST_PROBABILITY ? $probability : MisreadingModel::LEAST_PROBABILITY,
            );
        }
        $sums[\count($misread)] += log(max(MisreadingModel::LEAST_PROBABILITY, $compiled->background[$o]));
    }

    /**
     * One of several was seen: the chances of each add up.
     *
     * @param array<int, float>              $sums
     * @param non-empty-list<string|float> $oneOf
     */
    private function addEither(array &$sums, CompiledCharacter $compiled, array $oneOf, float $rate): void
    {
        $taxa = \count($sums) - 1;
        $outcomes = array_map(static fn (string|float $state): int => $compiled->outcomes[(string) $state], $oneOf);
        for ($t = 0; $t <= $taxa; ++$t) {
            $probability = 0.0;
            foreach ($outcomes as $o) {
                $probability +=
                    $t < $taxa
                        ? MisreadingModel::read($rate, $compiled->shown[$o][$t], $compiled->misread[$o][$t])
                        : $compiled->background[$o];
            }
            $sums[$t] += log(min(1.0, max(MisreadingModel::LEAST_PROBABILITY, $probability)));
        }
    }

    /** @param array<int, float> $sums */
    private function addNumber(
        array &$sums,
        CompiledFlora $flora,
        CompiledCharacter $compiled,
        float $number,
        float $rate,
    ): void {
        [$from, $to] = $compiled->interval($number);
        $background = $compiled->backgroundDensity($from, $to);
        $taxa = \count($sums) - 1;
        $reading = new Reading([$number]);
        for ($t = 0; $t < $taxa; ++$t) {
            $error =
                isset($flora->nevers[$t][$compiled->character->id])
                && [] !== $flora->forbidding($t, $compiled->character, $reading)
                    ? 0.0
                    : $flora->error * $background;
            $share = match (true) {
                isset($compiled->ranges[$t]) => (1.0 - $flora->error) *
                    $compiled->ranges[$t]->share($from, $to, $compiled->isCount()) +
                    $error,
                isset($compiled->silent[$t]) => $background,
                default => $error,
            };
            $sums[$t] += log(MisreadingModel::read($rate, $share, $background));
        }
        $sums[$taxa] += log(max(MisreadingModel::LEAST_PROBABILITY, $background));
    }

    /** @return list<float> */
    private function ofNotApplicable(CompiledFlora $compiled, ?Applicability $applies, float $rate): array
    {
        $parent = null === $applies ? null : $compiled->characters[$applies->character];
        $makesSense = array_fill(0, \count($compiled->taxa) + 1, 0.0);
        foreach ($applies->states ?? [] as $state) {
            $o = $parent->outcomes[$state] ?? 0;
            foreach ([...$parent->shown[$o] ?? [], $parent->background[$o] ?? 0.0] as $t => $share) {
                $makesSense[$t] += $share;
            }
        }

        return array_values(
            array_map(
                static fn (float $share): float => log(
                    MisreadingModel::read($rate, 1.0 - min(1.0, $share), min(1.0, $share)),
                ),
                $makesSense,
            ),
        );
    }
}

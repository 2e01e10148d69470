<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Finding;

/**
 * Bayes' rule over the taxa of a flora and one more hypothesis, "something this flora does not hold".
 * The prior is uniform over the taxa: how common a tree is nearby never enters a clearance.
 */
final readonly class Identifier
{
    /** Prior of "something this flora does not hold": one specimen in ten (an assumption, not a measurement). */
    private const UNLISTED = 0.1;
    /** Several values seen on one tree are not independent looks: their mean counts at most twice. */
    private const MOST_REPEATS = 2.0;

    public function __construct(private Fit $fit = new Fit(), private Tempering $tempering = new Tempering())
    {
    }

    public function identify(CompiledFlora $compiled, Examination $examination): Identification
    {
        $taxa = \count($compiled->taxa);
        $logs = array_fill(0, $taxa, log((1.0 - self::UNLISTED) / $taxa));
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

        return new Identification($compiled, $examination, array_values($posterior), $other / $sum, $this->fit->of($compiled, $examination, $best), $evidence);
    }

    /** @return list<float> natural logarithms by taxon number; the last one is for "something else" */
    private function logLikelihoods(CompiledFlora $compiled, Finding $finding): array
    {
        $rate = MisreadingModel::rate($finding);
        $readings = $finding->readings();
        $sums = array_fill(0, \count($compiled->taxa) + 1, 0.0);
        foreach ($readings as $reading) {
            $character = $compiled->at($finding->character->id, $reading->position);
            foreach (\is_string($reading->value) ? $this->ofState($character, $reading->value, $rate) : $this->ofNumber($character, $reading->value, $rate) as $t => $probability) {
                $sums[$t] += log($probability);
            }
        }
        $pooled = min(sqrt(\count($readings)), self::MOST_REPEATS) / \count($readings);

        return array_values(array_map(static fn (float $sum): float => $sum * $pooled, $sums));
    }

    /** @return list<float> */
    private function ofState(CompiledCharacter $compiled, string $state, float $rate): array
    {
        $o = $compiled->outcomes[$state];
        $misread = $compiled->misread[$o];
        $row = [];
        foreach ($compiled->shown[$o] as $t => $share) {
            $row[] = max(1e-9, (1.0 - $rate) * $share + $rate * $misread[$t]);
        }
        $row[] = max(1e-9, $compiled->background[$o]);

        return $row;
    }

    /** @return list<float> */
    private function ofNumber(CompiledCharacter $compiled, float $number, float $rate): array
    {
        [$from, $to] = $compiled->interval($number);
        $background = $compiled->backgroundDensity($from, $to);
        $row = [];
        for ($t = 0, $n = \count($compiled->shown[0]); $t < $n; ++$t) {
            $share = match (true) {
                isset($compiled->ranges[$t]) => $compiled->ranges[$t]->share($from, $to, $compiled->isCount()),
                isset($compiled->silent[$t]) => $background,
                default => 0.0,
            };
            $row[] = max(1e-9, (1.0 - $rate) * $share + $rate * $background);
        }
        $row[] = max(1e-9, $background);

        return $row;
    }
}

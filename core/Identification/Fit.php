<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Finding;
use Hylognosis\Flora\NumberRange;

/**
 * How well one taxon explains what was seen, taken by itself: the share of its own specimens that would look
 * at least as odd. The surprise of the scores is compared with the surprise the description leads one to
 * expect, by the normal approximation.
 */
final readonly class Fit
{
    /** 0 (nothing about it fits) to 1; 1 where nothing was scored. */
    public function of(CompiledFlora $compiled, Examination $examination, int $taxon): float
    {
        $excess = $variance = 0.0;
        foreach ($examination->findings as $id => $finding) {
            $outcomes = $this->outcomes(
                $compiled->at($id, $finding->standing[0]->position),
                $finding,
                $taxon,
                $compiled->error,
            );
            if (null === $outcomes) {
                continue;
            }
            [$probabilities, $seen] = $outcomes;
            $mean = $square = 0.0;
            foreach ($probabilities as $probability) {
                if ($probability > 0.0) {
                    $mean += $probability * log($probability);
                    $square += $probability * log($probability) ** 2;
                }
            }
            $excess += $seen - $mean;
            $variance += max(0.01, $square - $mean ** 2);
        }

        return $variance > 0.0 ? self::normalShareBelow($excess / sqrt($variance)) : 1.0;
    }

    /** @return array{list<float>, float}|null probabilities of what could have been read, mean logarithm of what was */
    private function outcomes(CompiledCharacter $compiled, Finding $finding, int $taxon, float $error): ?array
    {
        if (isset($compiled->silent[$taxon])) {
            return null;
        }
        $rate = MisreadingModel::rate($finding);
        $readings = $finding->readings();
        if (isset($compiled->inapplicable[$taxon]) || [] === $readings) {
            // makes no sense on it, and was scored; or the other way round
            $odd = MisreadingModel::read($rate, $error, 1.0);

            return isset($compiled->inapplicable[$taxon]) && [] === $readings ? null : [[1.0 - $odd, $odd], log($odd)];
        }
        $logs = [];
        if ($compiled->character->isNumeric()) {
            $range = $compiled->ranges[$taxon];
            $tails = $range->least < $range->low || $range->most > $range->high ? NumberRange::BEYOND_NORMAL : 0.0;
            $outside = MisreadingModel::read($rate, $error, 1.0);
            $probabilities = [(1.0 - $outside) * (1.0 - $tails), (1.0 - $outside) * $tails, $outside];
            foreach ($readings as $reading) {
                $number = (float) $reading->number();
                $logs[] = log($probabilities[$range->contains($number) ? 0 : ($range->allows($number) ? 1 : 2)]);
            }
        } else {
            $probabilities = [];
            foreach ($compiled->shown as $o => $row) {
                $probabilities[] = MisreadingModel::read($rate, $row[$taxon], $compiled->misread[$o][$taxon]);
            }
            foreach ($readings as $reading) {
                $logs[] = log(
                    array_sum(
                        array_map(
                            static fn (string|float $state): float => $probabilities[
                                $compiled->outcomes[(string) $state]
                            ],
                            $reading->oneOf,
                        ),
                    ),
                );
            }
        }

        return [$probabilities, array_sum($logs) / \count($logs)];
    }

    /** Abramowitz & Stegun, Handbook of Mathematical Functions, 26.2.17 (memory); absolute error below 7.5e-8. */
    private static function normalShareBelow(float $z): float
    {
        $t = 1.0 / (1.0 + 0.2316419 * abs($z));
        $tail =
            (exp((-$z * $z) / 2) / sqrt(2 * \M_PI)) *
            $t *
            (0.31938153 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));

        return $z < 0 ? $tail : 1.0 - $tail;
    }
}

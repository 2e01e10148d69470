<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Identification\Identifier;
use Hylognosis\Identification\Tempering;

/** How well the probabilities of the leader match how often it is right, on cases that were not learnt from. */
final readonly class Calibration
{
    private const BINS = 10;

    /** @param list<array{probability: float, right: float, cases: int}> $curve */
    private function __construct(
        public float $accuracy,
        public float $logLoss,
        public float $error,
        public array $curve,
    ) {
    }

    public static function of(Soybean $data, float $exponent): self
    {
        $identifier = new Identifier(tempering: new Tempering($exponent));
        $right = $loss = 0.0;
        $bins = [];
        for ($fold = 0; $fold < Soybean::FOLDS; ++$fold) {
            $compiled = $data->learnt($fold);
            foreach ($data->folds as $case => $of) {
                if ($of !== $fold) {
                    continue;
                }
                $identification = $identifier->identify($compiled, $data->examination($compiled->flora, $case));
                $held = 1.0 - $identification->unlisted;
                $leader = $identification->leader();
                $is = (float) ($leader->taxon === $data->classes[$case]);
                $probability = $leader->posterior / $held;
                $right += $is;
                $loss -= log(max(1e-12, $identification->posteriorOf($data->classes[$case]) / $held));
                $bin = min(self::BINS - 1, (int) floor($probability * self::BINS));
                $bins[$bin] = [
                    'probability' => ($bins[$bin]['probability'] ?? 0.0) + $probability,
                    'right' => ($bins[$bin]['right'] ?? 0.0) + $is,
                    'cases' => ($bins[$bin]['cases'] ?? 0) + 1,
                ];
            }
        }
        ksort($bins);
        $n = \count($data->cases);
        $error = 0.0;
        $curve = [];
        foreach ($bins as $bin) {
            $error += abs($bin['probability'] - $bin['right']) / $n;
            $curve[] = [
                'probability' => $bin['probability'] / $bin['cases'],
                'right' => $bin['right'] / $bin['cases'],
                'cases' => $bin['cases'],
            ];
        }

        return new self($right / $n, $loss / $n, $error, $curve);
    }
}

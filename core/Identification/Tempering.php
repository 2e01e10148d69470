<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;

/**
 * Weights of scores in the posterior. Characters of one organ are not independent: n scores of one organ together weigh
 * n^(1 − exponent) scores. What lies on the ground weighs three tenths, and may come from another tree.
 *
 * The exponent is chosen by calibration on outside data (docs/how-it-decides.md, "Calibration").
 */
final readonly class Tempering
{
    public const EXPONENT = 0.3;
    private const LITTER = 0.3;

    /** @throws \InvalidArgumentException if the exponent is not 0 (independent) to 1 (an organ counts as one score) */
    public function __construct(private float $exponent = self::EXPONENT)
    {
        if ($exponent < 0.0 || $exponent > 1.0) {
            throw new \InvalidArgumentException(
                \sprintf('The exponent of tempering lies between 0 and 1; %s does not.', $exponent),
            );
        }
    }

    /** @return array<string, float> by character, 0 to 1 */
    public function weights(Examination $examination): array
    {
        $scored = [];
        foreach ($examination->findings as $finding) {
            $organ = $finding->character->organ->value;
            $scored[$organ] = ($scored[$organ] ?? 0) + 1;
        }
        $weights = [];
        foreach ($examination->findings as $id => $finding) {
            $weights[$id] =
                ($scored[$finding->character->organ->value] ?? 1) ** -$this->exponent *
                ($finding->isLitter() ? self::LITTER : 1.0);
        }

        return $weights;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Finding;

/**
 * Weight of a score in the posterior. Characters of one organ are not independent: n scores of one organ
 * together weigh n^0.7 scores, so that ten leaf scores (5.0) weigh about what three organs scored twice
 * each (4.9), near enough. What lies on the ground weighs three tenths.
 */
final readonly class Tempering
{
    private const EXPONENT = 0.3;
    private const LITTER = 0.3;

    /** @param array<string, int> $scored number of scores by organ */
    private function __construct(private array $scored)
    {
    }

    public static function for(Examination $examination): self
    {
        $scored = [];
        foreach ($examination->findings as $finding) {
            $organ = $finding->character->organ->value;
            $scored[$organ] = ($scored[$organ] ?? 0) + 1;
        }

        return new self($scored);
    }

    /** 0 to 1. */
    public function weight(Finding $finding): float
    {
        return $this->scored[$finding->character->organ->value] ** -self::EXPONENT * ($finding->isLitter() ? self::LITTER : 1.0);
    }
}

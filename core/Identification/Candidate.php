<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/** A taxon with its probability, given what was scored. */
final readonly class Candidate
{
    /** @param float $posterior 0 to 1 */
    public function __construct(public string $taxon, public float $posterior)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Finding;

/** What one scored character says for one taxon against another. */
final readonly class Contribution
{
    /** @param float $decibans ten times the decimal logarithm of how many times as likely; negative: against */
    public function __construct(public Finding $finding, public float $decibans)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Hazards\View;

use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;

/** The worst a taxon can do to somebody, by any of its parts and in any way. */
final readonly class HarmView
{
    /** @param string $who people, or a kind of animal */
    public function __construct(public string $who, public Severity $severity)
    {
    }

    /** @return list<self> people first; empty: no harm is on record */
    public static function of(Taxon $taxon): array
    {
        $harms = [];
        foreach ($taxon->harms() as $who => $severity) {
            $harms[] = new self($who, $severity);
        }

        return $harms;
    }
}

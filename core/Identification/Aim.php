<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\RequiredFeature;
use Hylognosis\Flora\Taxon;

/** What the examiner is after: a taxon to take from, with what still stands between it and a clearance. */
final readonly class Aim
{
    /**
     * @param list<RequiredFeature> $open    required features not yet met
     * @param list<Danger>          $dangers not yet excluded
     * @param list<string>          $against characters in which something was seen that the taxon never shows
     */
    public function __construct(
        public Taxon $taxon,
        public array $open,
        public array $dangers,
        public array $against = [],
    ) {
    }

    public function requires(string $character): ?RequiredFeature
    {
        foreach ($this->open as $feature) {
            if ($feature->character === $character) {
                return $feature;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Severity;

/** What a tree is held to be. It opens no gate. */
final readonly class KindView
{
    /**
     * @param string            $taxon      id of the taxon
     * @param string            $commonName its common name
     * @param string            $name       its scientific name; empty where the flora no longer holds it
     * @param Severity|null     $severity   the worst it does to a person; null where the flora no longer holds it
     * @param list<RestsOnView> $restsOn    examinations it rests on
     * @param string            $by         who said so last
     * @param string            $on         day, YYYY-MM-DD
     * @param string            $doubt      why it is doubted; empty where it is not
     */
    public function __construct(
        public string $taxon,
        public string $commonName,
        public string $name,
        public ?Severity $severity,
        public array $restsOn,
        public string $by,
        public string $on,
        public string $doubt,
    ) {
    }
}

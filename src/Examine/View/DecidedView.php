<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** What the gate once said of a tree. */
final readonly class DecidedView
{
    /**
     * @param string $id id of the decision
     * @param string $taxon       id of the taxon
     * @param string $commonName  common name
     * @param string $part        name of the part
     * @param string $because     why, in a sentence
     * @param string $on          day, YYYY-MM-DD
     * @param string $by          whose examination it was
     * @param string $examination its id
     */
    public function __construct(
        public string $id,
        public string $taxon,
        public string $commonName,
        public string $part,
        public Answer $answer,
        public string $because,
        public string $on,
        public string $by,
        public string $examination,
    ) {
    }
}

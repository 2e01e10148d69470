<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** What was taken. */
final readonly class HarvestView
{
    /**
     * @param string $id          its id
     * @param string $takenOn     day, YYYY-MM-DD
     * @param string $takenBy     who took it
     * @param string $flora       name of the flora
     * @param string $taxon       id of the taxon
     * @param string $commonName  common name
     * @param string $part        name of the part
     * @param string $amount      in words, in the reader’s units
     * @param string $ripeness    how ripe, in words
     * @param int    $shareLeft   per cent left on the tree, 0 to 100
     * @param string $note        in a sentence; empty where there is none
     * @param string $specimen    tag of the tree
     * @param string $site        name of the place
     * @param string $examination id of the examination it was cleared by
     */
    public function __construct(
        public string $id,
        public string $takenOn,
        public string $takenBy,
        public string $flora,
        public string $taxon,
        public string $commonName,
        public string $part,
        public string $amount,
        public string $ripeness,
        public int $shareLeft,
        public string $note,
        public string $specimen,
        public string $site,
        public string $examination,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Storm;

use App\Pastures\Pasture;
use App\Trees\Specimen;
use App\Trees\Stand;
use Hylognosis\Storm\StormRound;

/** A round as it would be walked now. */
final readonly class LaidRound
{
    /**
     * @param array<string, Specimen|Stand> $trees      by id
     * @param array<string, Pasture>        $threatened by tree: the pasture it threatens most
     * @param list<string>                  $unplaced   ids of those nobody knows the place of; they stand last
     */
    public function __construct(
        public StormRound $round,
        public array $trees,
        public array $threatened,
        public array $unplaced,
    ) {
    }

    /** @return list<array{Specimen|Stand, int|null}> with the seconds of the way to each; null: nobody knows where */
    public function inOrder(): array
    {
        $stops = [];
        foreach ($this->round->stops as $i => $mark) {
            $stops[] = [$this->trees[$mark->id], $this->round->seconds[$i]];
        }
        foreach ($this->unplaced as $id) {
            $stops[] = [$this->trees[$id], null];
        }

        return $stops;
    }
}

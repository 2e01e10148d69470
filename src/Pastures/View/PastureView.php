<?php

declare(strict_types=1);

namespace App\Pastures\View;

use Hylognosis\Stock\Animal;

/** A pasture with the trees that matter to what grazes there. */
final readonly class PastureView
{
    /**
     * @param string                                $id       of the pasture
     * @param string                                $name     how the school calls it
     * @param string                                $siteId   id of the place
     * @param string                                $site     name of the place
     * @param list<array{float, float}>             $corners  longitude and latitude, degrees
     * @param list<float>                           $gate     longitude and latitude; empty where nobody has said
     * @param int                                   $number   of animals
     * @param float                                 $grams    what one animal weighs
     * @param list<array{from: string, to: string}> $grazed   days of the year; none: at any time
     * @param bool                                  $isGrazed whether animals may be there today
     * @param list<PastureTreeView>                 $trees    the worst first
     * @param list<string>                          $unplaced tags of trees of that place of which nobody has taken
     *                                                        where they stand: they may reach it too
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $siteId,
        public string $site,
        public array $corners,
        public array $gate,
        public Animal $animal,
        public int $number,
        public float $grams,
        public array $grazed,
        public bool $isGrazed,
        public array $trees,
        public array $unplaced,
    ) {
    }
}

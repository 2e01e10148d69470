<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Trees\Specimen;
use App\Trees\Stand;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\Length;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\FallingReach;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\Zone;

/** A tree or a stand that stands in a pasture, or reaches into it if it falls. */
final readonly class ReachingTree
{
    /**
     * @param list<Taxon>      $kinds  what it can be; none: anything
     * @param Length           $toEdge from the fence, inside or outside
     * @param Length|null      $girth  as it was measured last
     * @param CarriedLeaf|null $leaf   null where its girth is not known
     */
    public function __construct(
        public Pasture $pasture,
        public Specimen|Stand $tree,
        public array $kinds,
        public Zone $zone,
        public Length $toEdge,
        public FallingReach $reach,
        public Peril $peril,
        public ?Length $girth,
        public ?CarriedLeaf $leaf,
        public float $latitude,
        public float $longitude,
    ) {
    }
}

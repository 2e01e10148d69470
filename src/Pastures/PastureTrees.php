<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Account\User;
use App\Library\StockTable;
use App\Trees\HeldKinds;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\Stand;
use App\Trees\StandRepository;
use App\Trees\TreeMeasureRepository;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\Length;
use Hylognosis\Position\Area;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\FallingReach;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\Zone;

/** Which trees and stands matter to which pasture. */
final readonly class PastureTrees
{
    /** Degrees beyond which no tree reaches a fence: 300 m at the least, up to the polar circles. */
    private const FAR = 0.007;

    public function __construct(
        private SpecimenRepository $specimens,
        private StandRepository $stands,
        private TreeMeasureRepository $measures,
        private HeldKinds $kinds,
        private StockTable $table,
    ) {
    }

    /** @return list<ReachingTree> the worst first, then the nearest */
    public function of(Pasture $pasture, User $reader): array
    {
        $area = $pasture->area();
        [$south, $north, $west, $east] = $area->box();
        $trees = $this->specimens->inBox(
            $south - self::FAR,
            $north + self::FAR,
            $west - self::FAR,
            $east + self::FAR,
        );
        $ids = array_map(static fn (Specimen $s): string => $s->id, $trees);
        [$girths, $heights] = [$this->measures->girths($ids), $this->measures->heights($ids)];
        $hidden = $this->kinds->hiddenFrom($reader);
        $reaching = [];
        foreach ($trees as $tree) {
            $reaching[] = $this->reaching(
                $pasture,
                $area,
                $tree,
                $this->kinds->ofTree($tree, $hidden),
                [[(float) $tree->longitude, (float) $tree->latitude]],
                $heights[$tree->id] ?? null,
                $tree->uncertainty ?? 0.0,
                $girths[$tree->id] ?? null,
            );
        }
        foreach ($this->stands->there() as $stand) {
            $reaching[] = $this->reaching(
                $pasture,
                $area,
                $stand,
                $this->kinds->ofStand($stand),
                $stand->points(),
                $stand->height,
                0.0,
                null,
            );
        }
        $reaching = array_values(array_filter($reaching));
        usort(
            $reaching,
            static fn (ReachingTree $a, ReachingTree $b): int => [
                $a->peril->place(),
                Zone::Inside !== $a->zone,
                $a->toEdge->metres(),
            ] <=> [$b->peril->place(), Zone::Inside !== $b->zone, $b->toEdge->metres()],
        );

        return $reaching;
    }

    /** @return list<string> tags of trees of that place that nobody has placed on the ground */
    public function unplaced(Pasture $pasture): array
    {
        $tags = [];
        foreach ($this->specimens->unplaced($pasture->site) as $tree) {
            $tags[] = $tree->tag;
        }

        return $tags;
    }

    /**
     * @param list<Taxon>               $kinds
     * @param list<array{float, float}> $points    longitude and latitude
     * @param float|null                $height    metres
     * @param float                     $uncertain metres
     * @param float|null                $girth     centimetres
     */
    private function reaching(
        Pasture $pasture,
        Area $area,
        Specimen|Stand $tree,
        array $kinds,
        array $points,
        ?float $height,
        float $uncertain,
        ?float $girth,
    ): ?ReachingTree {
        $reach = FallingReach::of(
            null === $height ? null : Length::ofMetres($height),
            $kinds,
            Length::ofMetres($uncertain),
        );
        $nearest = null;
        foreach ($points as [$longitude, $latitude]) {
            $zone = $reach->zone($area, $latitude, $longitude);
            if (Zone::Beyond === $zone) {
                continue;
            }
            $edge = $area->toEdge($latitude, $longitude);
            // of a row the tree that stands inside counts, else the one nearest the fence
            if (
                null === $nearest
                || [Zone::Inside !== $zone, $edge->metres()] < [Zone::Inside !== $nearest[0], $nearest[1]->metres()]
            ) {
                $nearest = [$zone, $edge, $latitude, $longitude];
            }
        }
        if (null === $nearest) {
            return null;
        }
        $around = null === $girth ? null : Length::of($girth, 'cm');

        return new ReachingTree(
            $pasture,
            $tree,
            $kinds,
            $nearest[0],
            $nearest[1],
            $reach,
            Peril::of($kinds, $pasture->animal),
            $around,
            null === $around ? null : $this->leaf($kinds, Length::ofMetres($around->metres() / \M_PI)),
            $nearest[2],
            $nearest[3],
        );
    }

    /**
     * @param list<Taxon> $kinds
     *
     * @return CarriedLeaf|null null where nobody has weighed enough stems of that thickness
     */
    public function leaf(array $kinds, Length $diameter): ?CarriedLeaf
    {
        try {
            return CarriedLeaf::of($this->table->group($kinds[0]->id ?? ''), $diameter);
        } catch (\InvalidArgumentException) {
            return null;
        }
    }
}

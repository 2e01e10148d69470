<?php

declare(strict_types=1);

namespace App\Storm;

use App\Account\User;
use App\Pastures\Pasture;
use App\Pastures\PastureRepository;
use App\Pastures\PastureTrees;
use App\Pastures\ReachingTree;
use App\Survey\SurveyLookRepository;
use App\Trees\Site;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\Stand;
use App\Trees\StandRepository;
use Hylognosis\Stock\Zone;
use Hylognosis\Storm\FencedGround;
use Hylognosis\Storm\StormMark;
use Hylognosis\Storm\StormRound;
use Hylognosis\Survey\SeenMark;

/**
 * Which trees are gone to after a storm: all that reach a pasture of the place, and those there at which something was
 * seen before that may break or fall.
 */
final readonly class StormLaying
{
    public function __construct(
        private PastureRepository $pastures,
        private PastureTrees $trees,
        private SpecimenRepository $specimens,
        private StandRepository $stands,
        private SurveyLookRepository $looks,
    ) {
    }

    public function at(Site $site, User $reader): LaidRound
    {
        /** @var array<string, ReachingTree> $reaching that pasture of each tree which it threatens most */
        $reaching = [];
        $grounds = [];
        foreach ($this->pastures->there() as $pasture) {
            if ($pasture->site !== $site) {
                continue;
            }
            $grounds[] = new FencedGround(
                $pasture->area(),
                [] === $pasture->gate ? [] : [$pasture->gate[1], $pasture->gate[0]],
            );
            foreach ($this->trees->of($pasture, $reader) as $r) {
                $known = $reaching[$r->tree->id] ?? null;
                if (null === $known || self::mark($r)->before(self::mark($known)) < 0) {
                    $reaching[$r->tree->id] = $r;
                }
            }
        }
        $marks = array_map(self::mark(...), array_values($reaching));
        $trees = array_map(static fn (ReachingTree $r): Specimen|Stand => $r->tree, $reaching);
        $threatened = array_map(static fn (ReachingTree $r): Pasture => $r->pasture, $reaching);
        $unplaced = [];
        foreach ($this->seenToFail($site) as $tree) {
            if (isset($trees[$tree->id])) {
                continue;
            }
            $trees[$tree->id] = $tree;
            $point = $tree instanceof Stand
                ? $tree->line[0] ?? null
                : (null === $tree->latitude || null === $tree->longitude ? null : [$tree->longitude, $tree->latitude]);
            if (null === $point) {
                $unplaced[] = $tree->id;
            } else {
                $marks[] = new StormMark($tree->id, $point[1], $point[0], null, Zone::Beyond, false, null);
            }
        }
        if ([] !== $grounds) {
            // where nobody has taken the place of a tree, it may reach the pasture
            foreach ($this->specimens->unplaced($site) as $tree) {
                if (!isset($trees[$tree->id])) {
                    $trees[$tree->id] = $tree;
                    $unplaced[] = $tree->id;
                }
            }
        }
        [$longitude, $latitude] = [] === $site->entrance ? [$site->longitude, $site->latitude] : $site->entrance;

        return new LaidRound(StormRound::of($marks, $latitude, $longitude, $grounds), $trees, $threatened, $unplaced);
    }

    /** @return list<Specimen|Stand> */
    private function seenToFail(Site $site): array
    {
        $all = [...$this->specimens->findBy(['site' => $site, 'gone' => '']), ...$this->stands->there($site)];
        $seen = $this->looks->lastSeen(array_map(static fn (Specimen|Stand $t): string => $t->id, $all));

        return array_values(
            array_filter(
                $all,
                static fn (Specimen|Stand $t): bool => [] !==
                    array_filter($seen[$t->id] ?? [], static fn (SeenMark $m): bool => $m->wantsArborist()),
            ),
        );
    }

    private static function mark(ReachingTree $r): StormMark
    {
        return new StormMark(
            $r->tree->id,
            $r->latitude,
            $r->longitude,
            $r->peril,
            $r->zone,
            $r->pasture->hasRuminants(),
            $r->leaf?->fresh,
        );
    }
}

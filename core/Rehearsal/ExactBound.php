<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Examination\Dispute;
use Hylognosis\Identification\RequiredList;

/**
 * Upper bounds, by exact summation, on how often a tree of one kind is cleared as the goal: the gate cannot open unless
 * every required feature has been read with an accepted value. For each: the chance that so many looks as one character
 * gets end in an accepted reading that stands. All else that would keep the gate shut is left out: the true rate is
 * lower.
 */
final readonly class ExactBound
{
    public function __construct(private Eye $eye)
    {
    }

    /** 0 to 1, given independent misreadings. */
    public function of(TreeKind $tree, Goal $goal, Desk $desk): float
    {
        return array_product($this->chances($tree, $goal, $desk));
    }

    /** @return array<string, float> by required character, 0 to 1 */
    public function chances(TreeKind $tree, Goal $goal, Desk $desk): array
    {
        $phases = $tree->phases($desk->phenology, $goal->day);
        $chances = [];
        foreach (array_keys($goal->required) as $id) {
            $character = $tree->character($id);
            // What the tree does not show on that day cannot be read, and what cannot be read cannot be met.
            $chances[$id] = 0 === ($character->phenophases & $phases) ? 0.0 : $this->chance($tree, $id, $goal, $desk);
        }

        return $chances;
    }

    /** @return list<string> the required characters by which stated nevers keep the tree out */
    public static function stated(TreeKind $tree, Goal $goal, Desk $desk): array
    {
        return array_keys((new RequiredList($desk->compiled, $goal->claim->part))->keepingOut($tree->taxon()));
    }

    private function chance(TreeKind $tree, string $id, Goal $goal, Desk $desk): float
    {
        $character = $tree->character($id);
        $showing = $tree->showing($id, $goal);
        if (null === $showing) {
            // it makes no sense on this tree: it is misread, or the description is wrong
            return min(1.0, $this->eye->rate($character->character) + $tree->makesSenseAfterAll($id));
        }
        $hopes = $goal->hopes($desk->compiled, $character->character);
        $chance = 0.0;
        foreach ($showing->shares as $mostly => $share) {
            $accepted = $beside = 0.0;
            foreach ($this->eye->reads($character, $showing, $mostly, $hopes) as $read) {
                if ($goal->welcomes($desk->compiled, $character->character, $read->values)) {
                    $accepted += $read->probability;
                } elseif ($goal->bears($character->character, $read->values)) {
                    $beside += $read->probability;
                }
            }
            $chance += $share * self::withinTheLooks(min(1.0, $accepted), min(1.0 - min(1.0, $accepted), $beside));
        }

        return min(1.0, $chance);
    }

    /**
     * Accepted looks come to outnumber those that speak against it; a look that shows only what may stand beside an
     * accepted value leaves that as it is. A look repeats the one before it now and then.
     *
     * @param float $accepted chance that a fresh look is accepted, 0 to 1
     * @param float $beside   chance that it shows only what may stand beside, 0 to 1
     */
    public static function withinTheLooks(float $accepted, float $beside = 0.0): float
    {
        $moves = [1 => $accepted, 0 => $beside, -1 => max(0.0, 1.0 - $accepted - $beside)];
        $stands = $accepted;
        // Not yet accepted: accepted looks less those against → what the last look was → probability.
        $open = [0 => [0 => $moves[0]], -1 => [-1 => $moves[-1]]];
        for ($look = 2; $look <= Dispute::MOST_LOOKS; ++$look) {
            $next = [];
            foreach ($open as $lead => $byLast) {
                foreach ($byLast as $last => $probability) {
                    foreach ($moves as $move => $chance) {
                        $again = (1.0 - Eye::REPEATS) * $chance + ($move === $last ? Eye::REPEATS : 0.0);
                        $next[$lead + $move][$move] = ($next[$lead + $move][$move] ?? 0.0) + $probability * $again;
                    }
                }
            }
            $stands += array_sum($next[1] ?? []);
            unset($next[1]);
            $open = $next;
        }

        return min(1.0, $stands);
    }
}

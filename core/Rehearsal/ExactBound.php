<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/**
 * An upper bound, by exact summation, on how often a tree of one kind is cleared as the goal: the gate cannot open
 * unless every required feature has been read with an accepted value. Given the tree, the characters are read
 * independently, so the bound is the product, over the required features, of the chance that so many looks as one
 * character gets end in an accepted reading that stands. All else that would keep the gate shut is left out: the true rate is lower.
 */
final readonly class ExactBound
{
    public function __construct(private Eye $eye)
    {
    }

    /** 0 to 1. */
    public function of(TreeKind $tree, Goal $goal, Desk $desk): float
    {
        $bound = 1.0;
        $phases = $tree->phases($desk->phenology, $goal->day);
        foreach ($goal->required as $id => $feature) {
            $character = $tree->character($id);
            if (0 === ($character->phenophases & $phases)) {
                return 0.0; // the tree does not show it on that day, and what cannot be read cannot be met
            }
            $showing = $tree->showing($id, $goal);
            if (null === $showing) { // it makes no sense on this tree: only a misreading can score it
                $bound *= $this->eye->rate($character->character);
                continue;
            }
            $chance = 0.0;
            foreach ($showing->shares as $mostly => $share) {
                $accepted = 0.0;
                foreach ($this->eye->reads($character, $showing, $mostly) as $read) {
                    $accepted += $goal->welcomes($desk->compiled, $character->character, $read->values) ? $read->probability : 0.0;
                }
                $chance += $share * self::withinTheLooks($accepted);
            }
            $bound *= min(1.0, $chance);
        }

        return $bound;
    }

    /**
     * The first look is accepted; or accepted looks come to outnumber the others, two at least, which settles the
     * disagreement. A look repeats the one before it now and then.
     *
     * @param float $accepted chance that a fresh look is accepted, 0 to 1
     */
    public static function withinTheLooks(float $accepted): float
    {
        $fresh = 1.0 - Eye::REPEATS;
        $stands = $accepted;
        // Not yet accepted: accepted looks less the others → whether the last was accepted → probability.
        $open = [-1 => [0 => 1.0 - $accepted, 1 => 0.0]];
        for ($look = 2; $look <= Rehearser::LOOKS_AT_ONE_CHARACTER; ++$look) {
            $next = [];
            foreach ($open as $lead => $byLast) {
                foreach ($byLast as $last => $probability) {
                    $again = $fresh * $accepted + Eye::REPEATS * $last;
                    $next[$lead + 1][1] = ($next[$lead + 1][1] ?? 0.0) + $probability * $again;
                    $next[$lead - 1][0] = ($next[$lead - 1][0] ?? 0.0) + $probability * (1.0 - $again);
                }
            }
            $stands += array_sum($next[1] ?? []);
            unset($next[1]);
            $open = $next;
        }

        return $stands;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Character;

/**
 * Which character to look at next: what a look is worth ({@see Curious}, {@see Aimed}), times the chance that it can be
 * seen today, per effort.
 */
final readonly class NextLook
{
    public const MOST = 5;
    /** Taxa less probable than this do not change which look is best. */
    private const NEGLIGIBLE = 1e-4;
    private const LEAST_VISIBLE = 0.02;
    private const LEAST_WORTH = 1e-6;
    private const SURELY_APPLIES = 0.9;

    /**
     * @param Contrast|null $contrast of the taxon aimed at, where it has been reckoned already
     *
     * @return list<Suggestion> the most worthwhile first
     */
    public function suggest(
        Identification $identification,
        Outlook $outlook,
        ?Aim $aim,
        int $most = self::MOST,
        ?Contrast $contrast = null,
    ): array {
        $compiled = $identification->compiled;
        $posterior = array_filter($identification->posterior, static fn (float $p): bool => $p > self::NEGLIGIBLE);
        if (null !== $aim) {
            $posterior[$compiled->numbers[$aim->taxon->id]] ??= self::NEGLIGIBLE;
        }
        $phases = [];
        foreach ($posterior as $t => $_) {
            $phases[$t] = $outlook->phenology->phases($compiled->flora->taxa[$compiled->taxa[$t]], $outlook->day);
        }
        $valuation = $curious = new Curious($identification, $posterior);
        if (null !== $aim) {
            $contrast ??= Contrast::of($compiled, $aim->taxon->id);
            $valuation = new Aimed($curious, $identification, $aim, $contrast, $phases[$contrast->own], $outlook);
        }
        $ranked = $visibleIn = [];
        foreach ($compiled->characters as $id => $character) {
            if ($this->isOutOfTheQuestion($identification, $outlook, $aim, $character, $posterior)) {
                continue;
            }
            $visible = $visibleIn[$character->phenophases] ??= $this->visible(
                $posterior,
                $phases,
                $character->phenophases,
            );
            $worth = $visible < self::LEAST_VISIBLE ? null : $valuation->of($character);
            if (null !== $worth && $worth->perEffort() * $visible > self::LEAST_WORTH) {
                $ranked[$id] = [$worth->perEffort() * $visible, $worth];
            }
        }
        uasort($ranked, static fn (array $a, array $b): int => [$b[1]->first, $b[0]] <=> [$a[1]->first, $a[0]]);
        $suggestions = [];
        foreach (\array_slice($ranked, 0, $most, true) as $id => [$order, $worth]) {
            $why = $valuation->why($compiled->characters[$id]);
            $suggestions[] = new Suggestion(
                $compiled->characters[$id]->character,
                $order,
                $worth->bits,
                $worth->closes,
                null !== $aim?->requires($id),
                $why->apart,
                $why->because,
            );
        }

        return $suggestions;
    }

    /**
     * For each danger the look most likely to speak against it, given that the tree is what it is taken for; none
     * where the flora knows no difference in sight today.
     *
     * @param list<Danger> $dangers
     *
     * @return array<string, Character> by taxon
     */
    public function thatWouldExclude(
        Identification $identification,
        array $dangers,
        Contrast $contrast,
        Outlook $outlook,
    ): array {
        $compiled = $identification->compiled;
        $phases = $outlook->phenology->phases($compiled->flora->taxon($compiled->taxa[$contrast->own]), $outlook->day);
        $looks = [];
        foreach ($dangers as $danger) {
            $number = $compiled->numbers[$danger->taxon->id];
            $steps = $danger->steps();
            $best = 0.0;
            foreach ($compiled->nevers[$number] as $id => $_) {
                $character = $compiled->characters[$id];
                $scored = $identification->examination->finding($id);
                if (
                    0 === ($character->phenophases & $phases)
                    || (null !== $scored && [] !== $scored->decidingReadings())
                    || !$outlook->reaches($character->character)
                    || $identification->examination->couldNotSee($compiled->flora, $character->character)
                ) {
                    continue;
                }
                $worth =
                    ($contrast->against($id, $number) *
                        ($steps[$id] ?? $steps[$character->character->organ->value]) *
                        (1.0 - $character->character->legibility->misreading)) /
                    $character->character->sight->effort;
                if ($worth > $best) {
                    [$looks[$danger->taxon->id], $best] = [$character->character, $worth];
                }
            }
        }

        return $looks;
    }

    /**
     * Out of reach, declined, answered, or makes no sense yet.
     *
     * @param array<int, float> $posterior
     */
    private function isOutOfTheQuestion(
        Identification $identification,
        Outlook $outlook,
        ?Aim $aim,
        CompiledCharacter $character,
        array $posterior,
    ): bool {
        $id = $character->character->id;
        $finding = $identification->examination->finding($id);
        $answered =
            null !== $finding
            && !$finding->disagrees
            && null === $aim?->requires($id)
            && !\in_array($id, $aim->against ?? [], true);

        return $answered
            || !$outlook->reaches($character->character)
            || $identification->examination->couldNotSee($identification->compiled->flora, $character->character)
            || !$this->makesSense($identification, $character, $posterior);
    }

    /**
     * Needle bands are not asked for before it is known that the tree has needles.
     *
     * @param array<int, float> $posterior
     */
    private function makesSense(Identification $identification, CompiledCharacter $character, array $posterior): bool
    {
        $applies = $character->character->applies;
        $finding = null === $applies ? null : $identification->examination->finding($applies->character);
        if (null === $applies || (null !== $finding && [] !== array_intersect($applies->states, $finding->values()))) {
            return true;
        }

        return null === $finding
            && array_sum(array_diff_key($posterior, $character->inapplicable)) >=
                self::SURELY_APPLIES * array_sum($posterior);
    }

    /**
     * @param array<int, float> $posterior
     * @param array<int, int>   $phases
     */
    private function visible(array $posterior, array $phases, int $mask): float
    {
        $visible = $sum = 0.0;
        foreach ($posterior as $t => $probability) {
            $sum += $probability;
            $visible += 0 !== ($phases[$t] & $mask) ? $probability : 0.0;
        }

        return $sum > 0.0 ? $visible / $sum : 0.0;
    }
}

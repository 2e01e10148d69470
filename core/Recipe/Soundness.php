<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/**
 * What every recipe must have before anybody cooks by it: a time or an end to each step, something weighed where it is
 * to be eaten, cautions, and no word of a dose.
 */
final readonly class Soundness
{
    /** What people write who tell others how much of a remedy to take. */
    private const DOSE =
        '/\b(dos(e|es|age|ing)|(times|cups?|drops?|spoonfuls?|teaspoons?|tablespoons?) (a|per|each|every) '.
        '(day|meal|hour)|(once|twice|thrice|three times) (a day|daily)|safe to eat)\b/i';
    /** As the floras name what parts are for. */
    private const USES = [
        'food',
        'cordage',
        'fire',
        'fuel',
        'posts',
        'carving',
        'craft',
        'smoke',
        'dye',
        'ink',
        'tanning',
        'bees',
    ];
    private const LONGEST = 1000;
    private const MOST_STEPS = 60;

    /**
     * @param array<string, true> $parts anybody may take, as "taxon/part"
     *
     * @return list<string> what is wrong with it, a sentence each with the place; none where it is sound
     */
    public static function faults(Recipe $recipe, array $parts): array
    {
        $faults = [];
        if (!\in_array($recipe->use, self::USES, true)) {
            $faults[] = \sprintf(
                '%s.use: "%s" is none; there are %s.',
                $recipe->id,
                $recipe->use,
                implode(', ', self::USES),
            );
        }
        foreach ($recipe->of as $of) {
            if (!isset($parts[$of])) {
                $faults[] = \sprintf('%s.of: no flora has "%s" among what may be taken.', $recipe->id, $of);
            }
        }
        if ([] === $recipe->cautions) {
            $faults[] = $recipe->id.'.cautions: there must be at least one.';
        }
        $steps = self::steps($recipe);
        if (\count($steps) > self::MOST_STEPS) {
            $faults[] = \sprintf('%s.steps: more than %d are no recipe.', $recipe->id, self::MOST_STEPS);
        }
        $weighed = false;
        foreach ($steps as $step) {
            $weighed = $weighed || null !== $step->left || [] !== $step->with;
            if (null === $step->takes && null === $step->waits) {
                $faults[] = \sprintf('%s, step "%s": says neither "takes" nor "waits".', $recipe->id, $step->name);
            }
        }
        if ('food' === $recipe->use && !$weighed) {
            $faults[] = $recipe->id.'.steps: nothing is weighed, neither what is added nor what is left.';
        }
        foreach (self::texts($recipe, $steps) as $text) {
            if (1 === preg_match(self::DOSE, $text, $found)) {
                $faults[] = \sprintf(
                    '%s: "%s" is no word for a recipe; what people said it was good for is history, without a measure.',
                    $recipe->id,
                    $found[0],
                );
            }
            if (mb_strlen($text) > self::LONGEST || 1 === preg_match('/[^\P{C}\n\t]/u', $text)) {
                $faults[] = \sprintf('%s: a text is longer than %d, or cannot be seen.', $recipe->id, self::LONGEST);
            }
        }

        return $faults;
    }

    /** @return list<Step> of all ways */
    private static function steps(Recipe $recipe): array
    {
        $steps = [];
        foreach ($recipe->steps as $step) {
            foreach (
                $step instanceof Step
                    ? [$step]
                    : array_merge(...array_map(static fn (Branch $b): array => $b->steps, $step)) as $one
            ) {
                $steps[] = $one;
            }
        }

        return $steps;
    }

    /**
     * @param list<Step> $steps
     *
     * @return list<string>
     */
    private static function texts(Recipe $recipe, array $steps): array
    {
        $texts = [
            $recipe->name,
            $recipe->per,
            ...$recipe->needs,
            ...$recipe->cautions,
            ...$recipe->allergens,
            ...$recipe->sources,
        ];
        foreach ($recipe->history as $use) {
            array_push($texts, $use->says, $use->who);
        }
        foreach ($recipe->keeping as $kept) {
            array_push($texts, $kept->as, $kept->where, $kept->spoils);
        }
        foreach ($steps as $step) {
            array_push($texts, $step->name, $step->do, $step->vessel, $step->until, $step->wrong, $step->never);
            foreach ($step->with as $ingredient) {
                $texts[] = $ingredient->name;
            }
        }

        return $texts;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** A step with its weights: a stretch each, for a loss is never known to the gram. */
final readonly class Weighed
{
    /**
     * @param array{float, float}                $in   grams that go in
     * @param list<array{Ingredient, float, float}> $with grams of each
     * @param array{float, float}                $out  grams that come out
     */
    private function __construct(public Step $step, public array $in, public array $with, public array $out)
    {
    }

    /**
     * @param non-empty-list<Step> $steps one after the other
     * @param float                $grams that go into the first; more than 0
     * @param array<int, float>    $known grams that were weighed after a step, by its place: they go on from there
     *
     * @return non-empty-list<self>
     *
     * @throws \InvalidArgumentException if nothing goes in
     */
    public static function through(array $steps, float $grams, array $known = []): array
    {
        if ($grams <= 0.0 || !is_finite($grams)) {
            throw new \InvalidArgumentException('Something has to go in.');
        }
        $in = [$grams, $grams];
        $weighed = [];
        foreach ($steps as $place => $step) {
            $with = [];
            [$least, $most] = $in;
            foreach ($step->with as $ingredient) {
                [$from, $to] = [$ingredient->times * $in[0], $ingredient->times * $in[1]];
                $with[] = [$ingredient, $from, $to];
                if (!$ingredient->beside) {
                    $least += $from;
                    $most += $to;
                }
            }
            $out = isset($known[$place])
                ? [$known[$place], $known[$place]]
                : [$least * ($step->left[0] ?? 1.0), $most * ($step->left[1] ?? 1.0)];
            $weighed[] = new self($step, $in, $with, $out);
            $in = $out;
        }

        return $weighed;
    }
}

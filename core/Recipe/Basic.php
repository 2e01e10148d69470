<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** What a cook or craftsman is told once, and a recipe only names. */
final readonly class Basic
{
    /** @param non-empty-list<string> $words any of them in a recipe calls for it */
    public function __construct(public string $title, public array $words, public string $says)
    {
    }

    public function isCalledForBy(Step $step): bool
    {
        $text = mb_strtolower(
            implode("\n", [
                $step->name,
                $step->do,
                $step->until,
                $step->wrong,
                $step->never,
                $step->vessel,
                ...array_map(static fn (Ingredient $in): string => $in->name, $step->with),
            ]),
        );
        foreach ($this->words as $word) {
            if (str_contains($text, mb_strtolower($word))) {
                return true;
            }
        }

        return false;
    }
}

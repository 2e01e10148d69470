<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

/** How something is made of what was taken. That it may be taken, the gate alone says. */
final readonly class Recipe
{
    /**
     * @param string                                    $use       what the result is for, as the floras name uses
     * @param non-empty-list<string>                    $of        parts it may be made of, as "taxon/part"
     * @param string                                    $per       what the weights of the first step are of
     * @param list<string>                              $needs     tools and vessels
     * @param non-empty-list<Step|non-empty-list<Branch>> $steps   in their order; where ways part, the ways
     * @param non-empty-list<Keeping>                   $keeping
     * @param list<string>                              $cautions
     * @param list<string>                              $allergens as they are named on a label
     * @param list<HistoricUse>                         $history
     * @param non-empty-list<string>                    $sources
     * @param string                                    $hash      of all of it: another one as soon as a letter changes
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $use,
        public array $of,
        public string $per,
        public array $needs,
        public array $steps,
        public array $keeping,
        public array $cautions,
        public array $allergens,
        public array $history,
        public array $sources,
        public string $hash,
    ) {
    }

    /** The last day of whichever way of keeping it lasts longest. */
    public function keepsUntil(\DateTimeImmutable $made): \DateTimeImmutable
    {
        return max(array_map(static fn (Keeping $k): \DateTimeImmutable => $k->for->latest($made), $this->keeping));
    }

    /**
     * The steps of one way through it.
     *
     * @param list<string> $ways names of the branches taken, in the order of the partings; else the first
     *
     * @return non-empty-list<Step>
     */
    public function way(array $ways = []): array
    {
        $steps = [];
        $parting = 0;
        foreach ($this->steps as $step) {
            if ($step instanceof Step) {
                $steps[] = $step;
                continue;
            }
            $taken = $step[0];
            foreach ($step as $branch) {
                if ($branch->name === ($ways[$parting] ?? '')) {
                    $taken = $branch;
                }
            }
            ++$parting;
            array_push($steps, ...$taken->steps);
        }
        \assert([] !== $steps);

        return $steps;
    }
}

<?php

declare(strict_types=1);

namespace App\Batches\View;

use App\Recipes\View\RecipeStepView;

/** A step of the recipe, and what became of it. */
final readonly class BatchStepView
{
    /**
     * @param int            $place     in the way that is taken, from 0
     * @param RecipeStepView $step      as the recipe has it, for the weight that went in
     * @param string|null    $startedAt moment, RFC 3339
     * @param string|null    $dueAt     when somebody is to look after it
     * @param string|null    $doneAt    moment, RFC 3339
     * @param float|null     $gramsIn   as weighed before
     * @param float|null     $gramsOut  as weighed after
     * @param string         $note      what was done otherwise
     * @param string         $by        who wrote it; empty while nobody has
     * @param bool           $own       the recipe does not have it
     * @param bool           $mayBeLeftOut it keeps nobody from harm
     * @param bool           $leftOut   it was not done
     * @param list<CheckView> $checks   whether it is done, as somebody found, in their order
     */
    public function __construct(
        public int $place,
        public RecipeStepView $step,
        public ?string $startedAt,
        public ?string $dueAt,
        public ?string $doneAt,
        public ?float $gramsIn,
        public ?float $gramsOut,
        public string $note,
        public string $by,
        public bool $own,
        public bool $mayBeLeftOut,
        public bool $leftOut,
        public array $checks,
    ) {
    }
}

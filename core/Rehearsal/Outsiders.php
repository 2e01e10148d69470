<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Measure\Proportion;

/** How trees of a taxon fare with a flora that does not hold it. */
final readonly class Outsiders
{
    /**
     * @param Proportion $recognised ended as "none of these" after twelve looks without a hope
     * @param Proportion $named      ended as one name, which is wrong
     * @param Proportion $cleared    cleared as whatever they were hoped to be
     * @param float      $bound      exact upper bound on being cleared as the wanted part it passes for most easily, 0
     *                               to 1
     * @param string     $as         that part, `taxon/part`
     */
    public function __construct(
        public string $taxon,
        public ExaminerKind $examiner,
        public Proportion $recognised,
        public Proportion $named,
        public Proportion $cleared,
        public float $bound,
        public string $as,
    ) {
    }
}

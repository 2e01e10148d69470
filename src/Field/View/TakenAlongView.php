<?php

declare(strict_types=1);

namespace App\Field\View;

use App\Trees\View\SpecimenView;
use Hylognosis\Examination\ExaminerRole;

/** All that is taken along into the wood. */
final readonly class TakenAlongView
{
    /**
     * @param string                     $at           the moment it was drawn up, RFC 3339
     * @param string                     $until        last day it is gone by, YYYY-MM-DD
     * @param string                     $person       id of whoever takes it along
     * @param string                     $engine       version of the rules
     * @param list<PackedFloraView>      $floras       in which the trees are examined
     * @param list<TakenPlaceView>       $places       where one goes
     * @param list<SpecimenView>         $trees        at those places
     * @param list<TakenExaminationView> $examinations one’s own that are open, and those whose gate is
     */
    public function __construct(
        public string $at,
        public string $until,
        public string $person,
        public ExaminerRole $as,
        public string $engine,
        public array $floras,
        public array $places,
        public array $trees,
        public array $examinations,
    ) {
    }
}

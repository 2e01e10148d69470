<?php

declare(strict_types=1);

namespace App\Field\View;

use App\Examine\View\ExaminationView;

/** An examination as it is taken along: what is shown of it, and what the engine is told beside. */
final readonly class TakenExaminationView
{
    /**
     * @param array<string, mixed>  $told         an examination document without its scores and its hope
     * @param array<string, string> $recorded     moment each score was recorded at, by its id
     * @param array<string, string> $conditionsOn the day each condition was answered on
     * @param array<string, mixed>  $rules        of the place
     * @param string                $at           the moment it was drawn up, RFC 3339
     * @param string                $until        last day it is gone by, YYYY-MM-DD
     */
    public function __construct(
        public ExaminationView $view,
        public array $told,
        public array $recorded,
        public array $conditionsOn,
        public array $rules,
        public string $at,
        public string $until,
    ) {
    }
}

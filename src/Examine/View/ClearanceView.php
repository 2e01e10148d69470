<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\Answer;

/** The answer of the gate. */
final readonly class ClearanceView
{
    /** @param list<PointView> $points */
    public function __construct(public Answer $answer, public string $because, public ?string $until, public string $nearest, public array $points)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning\View;

/** How a question was answered. */
final readonly class DrillResultView
{
    /**
     * @param bool   $isRight whether it was right
     * @param string $answer  the right one, in words
     * @param string $why     what tells; may be empty
     * @param string $dueOn   YYYY-MM-DD, when it is asked again
     */
    public function __construct(public bool $isRight, public string $answer, public string $why, public string $dueOn)
    {
    }
}

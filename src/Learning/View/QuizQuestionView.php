<?php

declare(strict_types=1);

namespace App\Learning\View;

/** A question of a printed quiz, with its answer. */
final readonly class QuizQuestionView
{
    /**
     * @param string $answer letter and words of the right choice, or the number
     * @param string $why    what tells; may be empty
     */
    public function __construct(public DrillItemView $item, public string $answer, public string $why)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Learning\View\DrillItemView;

/** One question with its answer. */
final readonly class DrillItem
{
    /**
     * @param string             $answer  id of the right choice; of a number, the number
     * @param string             $trait   the character that is read; empty where none is
     * @param list<string|float> $true    what is there in it
     * @param string             $why     a sentence of what tells; may be empty
     */
    public function __construct(
        public DrillItemView $view,
        public string $answer,
        public string $trait,
        public array $true,
        public string $why,
    ) {
    }
}

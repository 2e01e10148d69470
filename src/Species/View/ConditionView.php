<?php

declare(strict_types=1);

namespace App\Species\View;

/** Something asked with the part in view. */
final readonly class ConditionView
{
    public function __construct(public string $id, public string $question, public string $note, public bool $wanted)
    {
    }
}

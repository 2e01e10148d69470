<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Something about the part itself, asked with the part in view: ripe? wilted? */
final readonly class Condition
{
    /** @param bool $wanted true for a sign that must be there, false for a harmful condition that must be ruled out */
    public function __construct(public string $id, public string $question, public string $note, public bool $wanted)
    {
    }
}

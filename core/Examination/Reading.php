<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Position;

/** One value that was seen, and how high on the tree. */
final readonly class Reading
{
    /** @param string|float $value a state id, or a number in the character's unit */
    public function __construct(public string|float $value, public ?Position $position = null)
    {
    }

    /** One key for each value and height: equal keys, equal readings. */
    public function key(): string
    {
        return $this->value.'@'.($this->position->value ?? '');
    }
}

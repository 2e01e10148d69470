<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Position;

/** One value that was seen (or several of which it was one: "toothed, I cannot say how"), and how high on the tree. */
final readonly class Reading
{
    /** @param non-empty-list<string|float> $oneOf state ids, or one number in the character's unit */
    public function __construct(public array $oneOf, public Position $position = Position::Middle)
    {
    }

    /** The number; null where states were seen. */
    public function number(): ?float
    {
        return \is_float($this->oneOf[0]) ? $this->oneOf[0] : null;
    }

    /** One key for each value and height: equal keys, equal readings. */
    public function key(): string
    {
        return implode('|', $this->oneOf).'@'.$this->position->value;
    }
}

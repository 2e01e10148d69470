<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/** A score that cannot be taken: what was given does not suit the character. */
final class UnusableScore extends \InvalidArgumentException
{
    private function __construct(
        /** What of the score is wrong: "states", "numbers", "answer", "samples", "position" or "character". */
        public readonly string $field,
        string $message,
    ) {
        parent::__construct($message);
    }

    /** @param 'states'|'numbers'|'answer'|'samples'|'position'|'character' $field */
    public static function in(string $field, string $message): self
    {
        return new self($field, $message);
    }
}

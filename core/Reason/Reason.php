<?php

declare(strict_types=1);

namespace Hylognosis\Reason;

/**
 * Why something stands as it does: a code and what it speaks of, by id. Sentences are made of it at the edge
 * ({@see \Hylognosis\Wording\Wording}), in the reader's language and units; nothing ever reads a sentence back.
 */
final readonly class Reason
{
    /**
     * @param array<string, string|int|float|bool|list<string|float>|null> $with ids, numbers in the character's own
     *     unit, days as `2027-06-14` or `06-14`
     */
    public function __construct(public string $code, public array $with = [])
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** One person's reading of one stated never. */
final readonly class Review
{
    /** @param \DateTimeImmutable $on day of the reading */
    public function __construct(
        public string $who,
        public \DateTimeImmutable $on,
        public ReviewVerdict $verdict,
        public string $note = '',
    ) {
    }
}

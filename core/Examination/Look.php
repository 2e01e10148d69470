<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

/** How a score came about: the first look at a character, or a further one; when; and whether it was taken back. */
final readonly class Look
{
    /**
     * @param bool                    $further   the examiner went and looked again, knowing what was scored before
     * @param \DateTimeImmutable|null $at        when it was recorded; null where nobody kept it
     * @param bool                    $takenBack the examiner says it was a slip; it stays on record
     */
    public function __construct(
        public bool $further = false,
        public ?\DateTimeImmutable $at = null,
        public bool $takenBack = false,
    ) {
    }

    /** Seconds between this look and another; null where one of them has no time. */
    public function secondsFrom(self $other): ?int
    {
        return null === $this->at || null === $other->at
            ? null
            : abs($this->at->getTimestamp() - $other->at->getTimestamp());
    }
}

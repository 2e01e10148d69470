<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Measure\CalendarDay;

/**
 * When those who keep the records of a place were last heard, where a decision is taken out of their reach. What
 * others have done since is not known.
 */
final readonly class LastWord
{
    /**
     * @param \DateTimeImmutable $at    the moment they were heard
     * @param \DateTimeImmutable $until last day their word is gone by
     */
    public function __construct(public \DateTimeImmutable $at, public \DateTimeImmutable $until)
    {
    }

    public function isOldOn(\DateTimeImmutable $day): bool
    {
        return CalendarDay::between($this->until, $day) > 0;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** One person's reading of one stated never. */
final readonly class Review
{
    /** @param string $on day of the reading, `2027-06-14` */
    public function __construct(public string $who, public string $on, public ReviewVerdict $verdict, public string $note = '')
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Identification\Identification;

/** Another examiner's examination of the same specimen. */
final readonly class SecondLook
{
    /** @param bool $blind the second examiner had not seen the first one's scores */
    public function __construct(public Identification $identification, public bool $blind)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Flora\Character;
use Hylognosis\Identification\Danger;

/** A dangerous taxon with the look that would speak against it. */
final readonly class DangerReport
{
    /** @param Character|null $lookAt none where it is excluded, or where nothing in sight today parts it */
    public function __construct(public Danger $danger, public float $posterior, public ?Character $lookAt)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** One line under a point: one required feature, one danger, one condition. */
final readonly class PointItem
{
    /** @param string $subject id of the character, taxon or condition it is about */
    public function __construct(public string $subject, public string $label, public PointStatus $status, public string $detail)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

/** Something that speaks for a crop, or against it, or is not known. */
final readonly class CropPoint
{
    /** @param array<string, int|float|string> $with years, metres, degrees Celsius and shares; days as YYYY-MM-DD */
    public function __construct(public CropPointKind $kind, public array $with = [])
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

/** How much hangs on a tree, as somebody standing under it would say. */
enum CropGrade: string
{
    case None = 'none';
    case Poor = 'poor';
    case Fair = 'fair';
    case Good = 'good';

    /** Of what a good year brings, 0 to 1. Common practice. */
    public function share(): float
    {
        return match ($this) {
            self::None => 0.0,
            self::Poor => 0.15,
            self::Fair => 0.5,
            self::Good => 1.0,
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Crop\CropPointKind;

/** What speaks for a crop, or against it, or is not known. */
final readonly class CropPointView
{
    /**
     * @param CropPointKind                   $kind   what it is
     * @param int                             $speaks 1 for it, -1 against it, 0 not known
     * @param array<string, int|float|string> $with   years, metres, degrees Celsius, shares; days as YYYY-MM-DD
     */
    public function __construct(public CropPointKind $kind, public int $speaks, public array $with)
    {
    }
}

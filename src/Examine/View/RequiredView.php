<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\PointStatus;

/** A required feature and how it stands. */
final readonly class RequiredView
{
    /**
     * @param string $character id of the character
     * @param int    $samples   on how many it has to be seen
     */
    public function __construct(public string $character, public int $samples, public PointStatus $status)
    {
    }
}

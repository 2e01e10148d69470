<?php

declare(strict_types=1);

namespace App\Api\View;

/** One line under a point. */
final readonly class PointItemView
{
    public function __construct(public string $subject, public string $label, public string $status, public string $detail)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Running\View;

final readonly class CountView
{
    public function __construct(public string $table, public int $rows)
    {
    }
}

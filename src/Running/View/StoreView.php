<?php

declare(strict_types=1);

namespace App\Running\View;

/** Something kept ready in files, that may be thrown away at any time. */
final readonly class StoreView
{
    public function __construct(public string $name, public int $files, public int $bytes)
    {
    }
}

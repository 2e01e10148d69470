<?php

declare(strict_types=1);

namespace App\Running\View;

/** Something kept ready in files, that may be thrown away at any time. */
final readonly class StoreView
{
    /**
     * @param string $name  which store
     * @param int    $files files kept
     * @param int    $bytes size in bytes
     */
    public function __construct(public string $name, public int $files, public int $bytes)
    {
    }
}

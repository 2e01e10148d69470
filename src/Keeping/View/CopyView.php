<?php

declare(strict_types=1);

namespace App\Keeping\View;

/** A copy of everything. */
final readonly class CopyView
{
    /**
     * @param string $name   what it is called
     * @param string $madeAt moment, RFC 3339
     * @param int    $bytes  how large it is
     */
    public function __construct(public string $name, public string $madeAt, public int $bytes)
    {
    }
}

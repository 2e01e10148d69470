<?php

declare(strict_types=1);

namespace App\Season\View;

/** Something one may hope for. */
final readonly class HopeView
{
    /**
     * @param string $id   "taxon/part"
     * @param string $name common name of the kind
     * @param string $part what it is called
     */
    public function __construct(public string $id, public string $name, public string $part)
    {
    }
}

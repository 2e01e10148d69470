<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Standing of a taxon in the flora's region. Local law comes first. */
final readonly class Status
{
    /** @param bool $protected protected throughout the region */
    public function __construct(public string $origin, public bool $protected, public string $note)
    {
    }
}

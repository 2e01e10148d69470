<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Several taxa under one name, where that name is enough for the purpose. */
final readonly class TaxonGroup
{
    /** @param list<string> $members taxon ids */
    public function __construct(public string $id, public string $name, public array $members)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Looked for, and no harm to these found: which is no proof that there is none. */
final readonly class NoRecord
{
    /**
     * @param list<string>          $who     of {@see Hazard::VICTIMS}
     * @param string                $note    empty where there is nothing to add
     * @param list<SourceReference> $sources where it was looked for
     */
    public function __construct(public array $who, public string $note, public array $sources)
    {
    }
}

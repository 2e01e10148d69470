<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Window;

/** When a taxon shows what, at the flora's reference place. */
final readonly class Calendar
{
    /** @param array<string, Window> $windows by phenophase */
    public function __construct(private array $windows)
    {
    }

    public function window(Phenophase $phase): ?Window
    {
        return $this->windows[$phase->value] ?? null;
    }
}

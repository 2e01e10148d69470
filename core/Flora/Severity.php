<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** How badly a hazard, or taking the wrong tree, can end for a person. */
enum Severity: string
{
    case Deadly = 'deadly';
    case Serious = 'serious';
    case Mild = 'mild';
    case Harmless = 'harmless';

    public function isHazard(): bool
    {
        return self::Harmless !== $this;
    }

    public function rank(): int
    {
        return match ($this) {
            self::Deadly => 3,
            self::Serious => 2,
            self::Mild => 1,
            self::Harmless => 0,
        };
    }

    public static function worse(self $a, self $b): self
    {
        return $a->rank() >= $b->rank() ? $a : $b;
    }
}

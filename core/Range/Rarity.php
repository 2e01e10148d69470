<?php

declare(strict_types=1);

namespace Hylognosis\Range;

/** Why a kind has become rare, and who wants to know of one that still stands. */
final readonly class Rarity
{
    public function __construct(public string $why, public string $who, public string $source)
    {
    }
}

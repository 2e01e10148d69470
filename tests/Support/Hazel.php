<?php

declare(strict_types=1);

namespace App\Tests\Support;

/** A hazel in late summer, as far as is needed to tell it: its rods are cut when leaves and nuts are gone. */
final class Hazel
{
    /** @var array<string, array{string, int}> character → state, and how many were looked at */
    public const SHOWS = [
        'leaf.arrangement' => ['alternate', 3],
        'twig.hairs' => ['gland-bristles', 3],
        'leaf.kind' => ['simple', 3],
        'leaf.margin' => ['double-teeth', 4],
        'bud.surface' => ['bare', 3],
        'fruit.husk' => ['leafy', 3],
        'fruit.nut' => ['plain', 3],
        'fruit.kind' => ['nut', 3],
        'leaf.outline' => ['round', 3],
        'leaf.veins' => ['straight', 3],
        'bud.stance' => ['standing-off', 3],
        'leaf.hairs' => ['all-over', 3],
        'twig.pith' => ['narrow', 2],
    ];
}

<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/**
 * Which questions make up one drill: of those that are due the hardest first, for two thirds of it at the most; the
 * rest is new, what is confused most first. Where one side is short, the other fills up.
 */
final class WhatToAsk
{
    private const DUE_SHARE = 2 / 3;

    /**
     * @param array<string, float> $due   card → how easy it is
     * @param array<string, float> $fresh card never asked → how much it is confused
     *
     * @return list<string>
     */
    public static function of(array $due, array $fresh, int $items): array
    {
        asort($due);
        arsort($fresh);
        $old = array_map(strval(...), array_keys($due));
        $new = array_map(strval(...), array_keys($fresh));
        $fromDue = min(\count($old), max((int) ceil($items * self::DUE_SHARE), $items - \count($new)));

        return [...\array_slice($old, 0, $fromDue), ...\array_slice($new, 0, max(0, $items - $fromDue))];
    }
}

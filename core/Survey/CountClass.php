<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

/** About how many stand together; counted no closer on a walk. */
enum CountClass: string
{
    case One = 'one';
    case Few = 'few';
    case Some = 'some';
    case Many = 'many';
    case Crowd = 'crowd';

    /** @return array{int, int|null} from, to; null: no bound */
    public function bounds(): array
    {
        return match ($this) {
            self::One => [1, 1],
            self::Few => [2, 5],
            self::Some => [6, 20],
            self::Many => [21, 100],
            self::Crowd => [101, null],
        };
    }
}

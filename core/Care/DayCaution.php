<?php

declare(strict_types=1);

namespace Hylognosis\Care;

/** Cautions of a day out that hang on the time of year and on the place more than on a kind. Common practice. */
enum DayCaution: string
{
    case Ticks = 'ticks';
    case Wind = 'wind';
    case Heat = 'heat';
    case Ice = 'ice';
    case Stings = 'stings';
    case FallingNuts = 'falling-nuts';
    case Heights = 'heights';
    case Limbs = 'limbs';
    case Smoke = 'smoke';

    /**
     * @param int  $month    1 to 12
     * @param bool $southern of the equator: the year is turned
     *
     * @return list<self> those the time of year calls for
     */
    public static function inMonth(int $month, bool $southern): array
    {
        $month = $southern ? ($month + 5) % 12 + 1 : $month;

        return [
            // they wake above some 7 °C, in mild winters too
            ...$month >= 2 && $month <= 11 ? [self::Ticks] : [],
            ...$month >= 6 && $month <= 9 ? [self::Heat, self::Stings] : [],
            ...$month >= 9 && $month <= 11 ? [self::FallingNuts] : [],
            ...$month <= 3 || 12 === $month ? [self::Ice] : [],
            self::Wind,
            self::Heights,
            self::Limbs,
            self::Smoke,
        ];
    }
}

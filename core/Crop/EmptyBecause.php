<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Measure\Proportion;
use Hylognosis\Season\Partner;

/** Why most of what was looked at is empty, as far as the tree's company tells. */
enum EmptyBecause: string
{
    /** It wants another near, and stands alone: it bears empty fruit every year. */
    case StandsAlone = 'stands-alone';
    /** It wants another near; whether one stands there nobody said. */
    case PerhapsAlone = 'perhaps-alone';
    /** It has company, or needs none: grubs, drought or rot, or it is gathered too early. */
    case NotForWantOfAnother = 'not-for-want-of-another';

    /** Fewer tell nothing. */
    public const FEWEST = 8;

    /**
     * @param int          $opened so many were looked at, one by one
     * @param int          $sound  of them, 0 to $opened
     * @param Partner|null $wants  what second tree the kind wants near; null: none
     * @param bool|null    $lone   no other is in sight; null where nobody looked
     *
     * @return self|null none while it may be that half of them are sound, or too few were looked at
     *
     * @throws \InvalidArgumentException if more were sound than were looked at
     */
    public static function of(int $opened, int $sound, ?Partner $wants, ?bool $lone): ?self
    {
        if ($opened < self::FEWEST || Proportion::of($sound, $opened)->clopperPearson()[1] >= 0.5) {
            return null;
        }

        return match (true) {
            !\in_array($wants, [Partner::Another, Partner::OtherSex], true),
            false === $lone => self::NotForWantOfAnother,
            true === $lone => self::StandsAlone,
            default => self::PerhapsAlone,
        };
    }
}

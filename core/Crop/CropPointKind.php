<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

/** What can be said of a crop to come. */
enum CropPointKind: string
{
    case SeenHanging = 'seen-hanging';
    case SeenBare = 'seen-bare';
    case OthersHanging = 'others-hanging';
    case OthersBare = 'others-bare';
    case FlowersSeen = 'flowers-seen';
    case Male = 'male';
    case SexUnknown = 'sex-unknown';
    case PartnerNear = 'partner-near';
    case NoPartnerKnown = 'no-partner-known';
    case PartnerUnknown = 'partner-unknown';
    case TooYoung = 'too-young';
    case BeginsToBear = 'begins-to-bear';
    case BestYears = 'best-years';
    case PastBest = 'past-best';
    case AgeUnknown = 'age-unknown';
    case GoodYearDue = 'good-year-due';
    case AfterGoodYear = 'after-good-year';
    case NoGoodYearKnown = 'no-good-year-known';
    case FrostTook = 'frost-took';
    case NoFrost = 'no-frost';
    case FrostUnknown = 'frost-unknown';
    case OwnTakes = 'own-takes';

    /** 1: for a crop; −1: against it; 0: not known. */
    public function speaks(): int
    {
        return match ($this) {
            self::SeenHanging,
            self::OthersHanging,
            self::FlowersSeen,
            self::PartnerNear,
            self::BestYears,
            self::GoodYearDue,
            self::NoFrost,
            self::OwnTakes => 1,
            self::SeenBare,
            self::OthersBare,
            self::Male,
            self::NoPartnerKnown,
            self::TooYoung,
            self::BeginsToBear,
            self::PastBest,
            self::AfterGoodYear,
            self::FrostTook => -1,
            self::SexUnknown, self::PartnerUnknown, self::AgeUnknown, self::NoGoodYearKnown, self::FrostUnknown => 0,
        };
    }
}

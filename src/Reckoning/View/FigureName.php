<?php

declare(strict_types=1);

namespace App\Reckoning\View;

/** What is reckoned; the unit stands in the name. */
enum FigureName: string
{
    case Grams = 'grams';
    case LostGrams = 'lost-grams';
    case DryPercent = 'dry-percent';
    case WetPercent = 'wet-percent';
    case Changes = 'changes';
    case LeftPercent = 'left-percent';
    case SugarGrams = 'sugar-grams';
    case BoilOffGrams = 'boil-off-grams';
    case Metres = 'metres';
    case GramsForAMetre = 'grams-for-a-metre';
    case SolidCubicMetres = 'solid-cubic-metres';
    case Cords = 'cords';
    case KilowattHours = 'kilowatt-hours';
    case KilowattHoursOfAKilogram = 'kilowatt-hours-of-a-kilogram';
    case Days = 'days';
    case LitresOfOil = 'litres-of-oil';
    case CubicMetres = 'cubic-metres';
    case DoyleFeet = 'doyle-feet';
    case InternationalFeet = 'international-feet';
    case Posts = 'posts';
    case Years = 'years';
    case Millimetres = 'millimetres';
    case ColdHours = 'cold-hours';
    case HotHours = 'hot-hours';
    case PriceOfAKilowattHour = 'price-of-a-kilowatt-hour';
    case BoardCubicMetres = 'board-cubic-metres';
    case SlabsStackedCubicMetres = 'slabs-stacked-cubic-metres';
    case Worth = 'worth';
    case WorthOfSlabs = 'worth-of-slabs';
    case DiameterCentimetres = 'diameter-centimetres';
    case GirthCentimetres = 'girth-centimetres';
    case HeightMetres = 'height-metres';
    case HeightBetweenMetres = 'height-between-metres';
    case SpreadMetres = 'spread-metres';
    case LeanDegrees = 'lean-degrees';
    case Points = 'points';
    case PointsBetween = 'points-between';
    case OtherPoints = 'other-points';
    case Lead = 'lead';
    case NoLead = 'no-lead';
    case AgeYears = 'age-years';
    case RingYears = 'ring-years';
    case TwigYears = 'twig-years';
    case YearGrowthMillimetres = 'year-growth-millimetres';
    case LastYearTimes = 'last-year-times';
    case StemCubicMetres = 'stem-cubic-metres';
    case StemLikelyCubicMetres = 'stem-likely-cubic-metres';
    case StemStackedCubicMetres = 'stem-stacked-cubic-metres';
}

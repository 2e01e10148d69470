<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What a flora gives of a taxon as a figure beside its description. */
enum FigureKind: string
{
    case BearsFrom = 'bears-from';
    case BestYears = 'best-years';
    case MastInterval = 'mast-interval';
    case LifeSpan = 'life-span';
    case YearGrowth = 'year-growth';
    case GrowthFactor = 'growth-factor';
    case Density = 'density';
    case DecayClass = 'decay-class';
    case Heat = 'heat';
    case Hardiness = 'hardiness';

    public function label(): string
    {
        return match ($this) {
            self::BearsFrom => 'first bears at',
            self::BestYears => 'bears best at',
            self::LifeSpan => 'lives',
            self::YearGrowth => 'grows in height, young and vigorous',
            self::Hardiness => 'hardiness zones, coldest to warmest (USDA)',
            self::MastInterval => 'good years apart',
            self::Density => 'density, air dry',
            self::DecayClass => 'heartwood in the ground, class (1 lasts longest, 5 least; EN 350)',
            self::Heat => 'heat, air dry, stacked',
            self::GrowthFactor => 'growth factor, age for each inch of diameter',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::BearsFrom, self::BestYears, self::MastInterval, self::LifeSpan, self::GrowthFactor => 'years',
            self::YearGrowth => 'cm a year',
            self::Density => 'kg/m³',
            self::DecayClass, self::Hardiness => '',
            self::Heat => 'kWh per stacked m³',
        };
    }
}

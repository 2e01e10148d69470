<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What a flora gives of a taxon as a figure beside its description. */
enum FigureKind: string
{
    case BearsFrom = 'bears-from';
    case MastInterval = 'mast-interval';
    case Density = 'density';
    case DecayClass = 'decay-class';
    case Heat = 'heat';
    case GrowthFactor = 'growth-factor';

    public function label(): string
    {
        return match ($this) {
            self::BearsFrom => 'first bears at',
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
            self::BearsFrom, self::MastInterval, self::GrowthFactor => 'years',
            self::Density => 'kg/m³',
            self::DecayClass => '',
            self::Heat => 'kWh per stacked m³',
        };
    }
}

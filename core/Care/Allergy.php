<?php

declare(strict_types=1);

namespace Hylognosis\Care;

/**
 * What participants of a day may have told of, and at which trees it matters. Common practice; kin that react crosswise
 * are named with each other. No diagnosis: who reacts to what, each knows best.
 */
enum Allergy: string
{
    case BirchPollen = 'birch-pollen';
    case AshPollen = 'ash-pollen';
    case Nuts = 'nuts';
    case StoneFruit = 'stone-fruit';
    case SumacKin = 'sumac-kin';
    case Latex = 'latex';
    case WoodDust = 'wood-dust';
    case Stings = 'stings';
    case MothHairs = 'moth-hairs';

    /** @return list<string> genera at which it matters; none: at any tree */
    public function genera(): array
    {
        return match ($this) {
            self::BirchPollen => ['betula', 'alnus', 'corylus', 'carpinus', 'ostrya', 'fagus', 'quercus', 'castanea'],
            self::AshPollen => ['fraxinus', 'ligustrum'],
            self::Nuts => ['corylus', 'juglans', 'carya', 'castanea', 'fagus', 'pinus'],
            self::StoneFruit => ['prunus', 'malus', 'pyrus', 'sorbus', 'crataegus', 'amelanchier'],
            self::SumacKin => ['toxicodendron', 'rhus', 'schinus'],
            self::Latex => ['morus', 'broussonetia', 'castanea'],
            self::WoodDust => ['robinia', 'juglans', 'taxus', 'thuja', 'quercus', 'fagus'],
            self::Stings => ['tilia', 'malus', 'pyrus', 'prunus', 'castanea', 'robinia', 'hedera', 'salix'],
            self::MothHairs => ['quercus', 'platanus'],
        };
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

/** Whom a plant can harm besides people; the words are those of the floras. */
enum Animal: string
{
    case Cattle = 'cattle';
    case Horses = 'horses';
    case Sheep = 'sheep';
    case Goats = 'goats';
    case Pigs = 'pigs';
    case Dogs = 'dogs';
    case Birds = 'birds';
}

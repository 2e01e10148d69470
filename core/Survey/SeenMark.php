<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

/** What somebody saw at a tree on a walk; whether it stands safe is said by none of them. */
enum SeenMark: string
{
    case DeadCrown = 'dead-crown';
    case BrittleLimbs = 'brittle-limbs';
    case LimbHanging = 'limb-hanging';
    case Leans = 'leans';
    case LiftedRoots = 'lifted-roots';
    case Fungi = 'fungi';
    case Thorny = 'thorny';
    case LooseBark = 'loose-bark';
    case StraightStem = 'straight-stem';
    case CleanStem = 'clean-stem';
    case Poles = 'poles';
    case BearsWell = 'bears-well';
    case Old = 'old';
    case Hollow = 'hollow';
    case Nest = 'nest';
    case Young = 'young';
    case Browsed = 'browsed';
    case CoppiceDue = 'coppice-due';
    case Spreads = 'spreads';

    /** On which of the three sheets it is told. */
    public function sheet(): Sheet
    {
        return match ($this) {
            self::DeadCrown,
            self::BrittleLimbs,
            self::LimbHanging,
            self::Leans,
            self::LiftedRoots,
            self::Fungi,
            self::Thorny => Sheet::Dangers,
            self::LooseBark, self::StraightStem, self::CleanStem, self::Poles, self::BearsWell => Sheet::Materials,
            self::Old,
            self::Hollow,
            self::Nest,
            self::Young,
            self::Browsed,
            self::CoppiceDue,
            self::Spreads => Sheet::Keep,
        };
    }

    /** Whether somebody licensed has to look at it, for it may fall or break. */
    public function wantsArborist(): bool
    {
        return match ($this) {
            self::DeadCrown,
            self::BrittleLimbs,
            self::LimbHanging,
            self::Leans,
            self::LiftedRoots,
            self::Fungi,
            self::Hollow => true,
            default => false,
        };
    }
}

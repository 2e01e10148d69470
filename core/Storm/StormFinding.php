<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

/** How a tree stands after a storm, seen from below. Whether it is safe to stand is not said by any of these. */
enum StormFinding: string
{
    case Sound = 'sound';
    /** Broken, and hanging in the crown. */
    case LimbHanging = 'limb-hanging';
    case LimbDown = 'limb-down';
    case TopOut = 'top-out';
    case Uprooted = 'uprooted';
    /** Nothing broke, and leaves or twigs lie or hang where animals get at them. */
    case LeavesInReach = 'leaves-in-reach';

    /** Whether something of it lies where animals get at it. */
    public function isDown(): bool
    {
        return match ($this) {
            self::LimbDown, self::TopOut, self::Uprooted, self::LeavesInReach => true,
            self::Sound, self::LimbHanging => false,
        };
    }

    /** Whether a licensed arborist has to look at what still stands, before anyone goes or lets animals under it. */
    public function wantsArborist(): bool
    {
        return match ($this) {
            self::LimbHanging, self::LimbDown, self::TopOut, self::Uprooted => true,
            self::Sound, self::LeavesInReach => false,
        };
    }

    /** Whether how much leaf lies there can be reckoned from how thick it is. */
    public function hasThickness(): bool
    {
        return match ($this) {
            self::LimbDown, self::TopOut, self::Uprooted => true,
            default => false,
        };
    }
}

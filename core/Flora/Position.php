<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/**
 * How high on the tree a thing was seen. Young and old bark, shade and sun leaves of one tree can differ as much as two
 * species.
 */
enum Position: string
{
    /** The foot of the trunk, suckers, shaded low boughs. */
    case Low = 'low';
    /** About chest height; also what the description means where no height is named. */
    case Middle = 'middle';
    /** The upper limbs, the sunlit crown. */
    case High = 'high';
}

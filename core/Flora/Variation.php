<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What else than the kind changes a character on one tree. */
final readonly class Variation
{
    /**
     * @param bool $withAge    the tree's age
     * @param bool $withHeight the height on the tree
     * @param bool $ripens     the ripening part: another value than the wanted one may mean "not yet"
     * @param bool $byChance   light, a strong shoot, a storm or a planter: it hints, but seeing it otherwise neither
     *                         excludes nor contradicts
     */
    public function __construct(
        public bool $withAge = false,
        public bool $withHeight = false,
        public bool $ripens = false,
        public bool $byChance = false,
    ) {
    }
}

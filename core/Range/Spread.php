<?php

declare(strict_types=1);

namespace Hylognosis\Range;

/** How a kind spreads where it is not wanted. What is said of law here is no law. */
final readonly class Spread
{
    /**
     * @param list<SpreadWay> $ways
     * @param string          $harvest what cutting and picking do to it
     * @param string          $cleanup so that it is not carried on
     * @param string          $source  where it can be looked up, and that it is from memory where it is
     */
    public function __construct(
        public array $ways,
        public string $harvest,
        public string $cleanup,
        public string $source,
    ) {
    }
}

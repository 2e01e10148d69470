<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** When and how a character is looked at. */
final readonly class Sight
{
    /**
     * @param non-empty-list<Phenophase> $phenophases in which it can be seen
     * @param int                        $effort      1 (a glance) to 5 (a climb)
     */
    public function __construct(
        public array $phenophases,
        public Reach $reach,
        public Instrument $instrument,
        public int $effort,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** Somebody who comes along. */
final readonly class ParticipantView
{
    /**
     * @param string $who id, or "guest-1" and so on
     * @param string $name of somebody of the school; "guest 1" and so on
     * @param list<string> $confuses ids of what he misreads most, for whoever leads
     */
    public function __construct(
        public string $who,
        public string $name,
        public array $confuses,
    ) {
    }
}

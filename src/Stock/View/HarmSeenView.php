<?php

declare(strict_types=1);

namespace App\Stock\View;

use Hylognosis\Stock\Animal;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\PlantState;

/** With how much animals were harmed where somebody wrote it down. */
final readonly class HarmSeenView
{
    /**
     * @param string $part   what was eaten
     * @param float  $least  per cent of the body mass, from
     * @param float  $most   per cent of the body mass, to
     * @param string $signs  what was seen, for the vet
     * @param string $sure   `sure`, `fairly` or `unsure`
     * @param string $source where it can be looked up
     */
    public function __construct(
        public Animal $animal,
        public string $part,
        public PlantState $state,
        public float $least,
        public float $most,
        public string $signs,
        public string $sure,
        public string $source,
    ) {
    }

    public static function of(HarmSeen $harm): self
    {
        return new self(
            $harm->animal,
            $harm->part,
            $harm->state,
            $harm->least,
            $harm->most,
            $harm->signs,
            $harm->sure,
            $harm->source,
        );
    }
}

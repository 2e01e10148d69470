<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Organ;

/** A feature that must be scored sure. */
final readonly class RequiredFeatureView
{
    /**
     * @param string               $character id of the character
     * @param string               $label     name of the character
     * @param list<StateShareView> $states    accepted
     * @param string|null          $range     accepted numbers with their unit; null for states
     * @param int                  $samples   on how many it has to be seen
     * @param list<StateShareView> $beside    may be seen on the same tree beside an accepted one
     */
    public function __construct(
        public string $character,
        public string $label,
        public Organ $organ,
        public array $states,
        public ?string $range,
        public int $samples,
        public array $beside,
    ) {
    }
}

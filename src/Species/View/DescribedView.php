<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Organ;

/** What the flora says of one character of a taxon. */
final readonly class DescribedView
{
    /**
     * @param string               $character id of the character
     * @param string               $label     name of the character
     * @param list<StateShareView> $states    most frequent first; none for numbers
     * @param string|null          $range     in the flora’s own unit, as it is drawn by; null for states
     * @param string|null          $reading   the same in the reader’s units
     */
    public function __construct(
        public string $character,
        public Organ $organ,
        public string $label,
        public array $states,
        public ?string $range,
        public ?string $reading,
    ) {
    }
}

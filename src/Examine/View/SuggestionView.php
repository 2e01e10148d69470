<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Organ;
use Hylognosis\Identification\Suggestion;
use Hylognosis\Wording\English;

/** A look worth taking next. */
final readonly class SuggestionView
{
    /**
     * @param string $character id of the character
     * @param string $label     name people read
     * @param float  $worth     what the look is worth by its effort and the chance to see it; only its order means
     *                          something
     * @param bool   $required  whether the part hoped for requires it
     * @param string $because   why, in a sentence
     */
    public function __construct(
        public string $character,
        public Organ $organ,
        public string $label,
        public float $worth,
        public bool $required,
        public string $because,
    ) {
    }

    public static function of(Suggestion $suggestion, English $words): self
    {
        $character = $suggestion->character;

        return new self(
            $character->id,
            $character->organ,
            $character->label,
            $suggestion->worth,
            $suggestion->required,
            $words->sentence($suggestion->because),
        );
    }
}

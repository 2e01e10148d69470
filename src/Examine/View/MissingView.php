<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Flora\Organ;

/** Something nobody has looked at yet, and when it can be seen. */
final readonly class MissingView
{
    /**
     * @param string      $character id of the character
     * @param string      $label     its name
     * @param string|null $from      first day from which it can be seen there, in words; null: today
     */
    public function __construct(
        public string $character,
        public Organ $organ,
        public string $label,
        public ?string $from,
    ) {
    }
}

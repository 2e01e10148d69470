<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Position;

/** One character that parts them. */
final readonly class PartingView
{
    /**
     * @param string         $character id of the character
     * @param string         $label     its name
     * @param string         $question  how it is asked
     * @param Position       $position  how high on the tree, where that matters
     * @param float          $bits      what one look tells while each is as likely
     * @param list<SideView> $sides     one for each taxon, in their order
     */
    public function __construct(
        public string $character,
        public Organ $organ,
        public string $label,
        public string $question,
        public Position $position,
        public float $bits,
        public array $sides,
    ) {
    }
}

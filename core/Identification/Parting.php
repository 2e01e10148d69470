<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Position;

/** One character that parts taxa laid side by side. */
final readonly class Parting
{
    /**
     * @param CompiledCharacter       $there  the character as it is read at the height
     * @param float                   $bits   what one careful look tells, if each of them is as likely, 0 to 2
     * @param array<int, float|null>  $times  taxon number → how many times likelier a usual look at it makes this taxon
     *                                        than the nearest of the others, 1 or more; null where the flora is silent
     * @param array<int, list<int>>   $months taxon number → months in whose middle it shows, 1 to 12
     */
    public function __construct(
        public CompiledCharacter $there,
        public Position $position,
        public float $bits,
        public array $times,
        public array $months,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Batches\View;

/** A jar with its label. */
final readonly class UnitView
{
    /**
     * @param string      $id              of the jar
     * @param int         $number          in its batch
     * @param string      $contents        what is in it, and how much
     * @param string      $madeOn          day, YYYY-MM-DD
     * @param string      $bestBefore      day, YYYY-MM-DD
     * @param string      $givenTo         who has it now
     * @param string      $by              who labelled it
     * @param string|null $recalledAt      moment it was called back
     * @param string      $recalledBecause why
     */
    public function __construct(
        public string $id,
        public int $number,
        public string $contents,
        public string $madeOn,
        public string $bestBefore,
        public string $givenTo,
        public string $by,
        public ?string $recalledAt,
        public string $recalledBecause,
    ) {
    }
}

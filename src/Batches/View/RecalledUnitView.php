<?php

declare(strict_types=1);

namespace App\Batches\View;

/** A jar that was called back. */
final readonly class RecalledUnitView
{
    /**
     * @param string $unit     id of the jar
     * @param string $batch    id of its batch
     * @param string $name     what the batch is called
     * @param int    $number   in its batch
     * @param string $contents what is in it
     * @param string $givenTo  who has it; empty: nobody but the school
     */
    public function __construct(
        public string $unit,
        public string $batch,
        public string $name,
        public int $number,
        public string $contents,
        public string $givenTo,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange;

/** Why a file cannot be brought in, and where it stands. */
final readonly class ImportFault
{
    /**
     * @param int    $line   from 1 up; 0 where it is the file as a whole
     * @param string $column name or number of the column; empty where it is the whole line
     * @param string $reason a sentence
     */
    public function __construct(public int $line, public string $column, public string $reason)
    {
    }
}

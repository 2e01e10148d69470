<?php

declare(strict_types=1);

namespace App\Exchange;

/** A file of which nothing can be brought in. */
final class UnusableFile extends \RuntimeException
{
    /** @param non-empty-list<ImportFault> $faults */
    public function __construct(public readonly array $faults)
    {
        parent::__construct($faults[0]->reason);
    }

    public static function at(int $line, string $column, string $reason): self
    {
        return new self([new ImportFault($line, $column, $reason)]);
    }
}

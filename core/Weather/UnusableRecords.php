<?php

declare(strict_types=1);

namespace Hylognosis\Weather;

/** A table of a station that cannot be read, with all that is wrong. */
final class UnusableRecords extends \RuntimeException
{
    /** @param list<array{int, string, string}> $faults line, column, reason */
    public function __construct(public readonly array $faults)
    {
        parent::__construct($faults[0][2] ?? 'It cannot be read.');
    }

    public static function at(int $line, string $column, string $reason): self
    {
        return new self([[$line, $column, $reason]]);
    }
}

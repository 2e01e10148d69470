<?php

declare(strict_types=1);

namespace App\Exchange;

/** A tree as a file tells of it. What the file does not say is null, and stays as it is. */
final readonly class TreeRow
{
    /** @param array<string, string|null> $columns what each field is called in the file, for faults */
    public function __construct(
        public int $line,
        public string $tag,
        public ?string $place = null,
        public ?string $whereabouts = null,
        public ?float $latitude = null,
        public ?float $longitude = null,
        public ?float $uncertainty = null,
        public ?string $stage = null,
        public ?string $sex = null,
        public ?string $health = null,
        public array $columns = [],
    ) {
    }

    public function column(string $field): string
    {
        return $this->columns[$field] ?? $field;
    }
}

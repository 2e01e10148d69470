<?php

declare(strict_types=1);

namespace App\Species\View;

/** A figure of a taxon beside its description. */
final readonly class FigureView
{
    /**
     * @param string      $kind  which figure
     * @param string      $label name people read
     * @param string|null $range null where it is not known
     * @param string      $unit  its unit; may be empty
     * @param string      $note  the same in other words; empty where there are none
     */
    public function __construct(
        public string $kind,
        public string $label,
        public ?string $range,
        public string $unit,
        public string $note,
    ) {
    }
}

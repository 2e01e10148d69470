<?php

declare(strict_types=1);

namespace App\Field\View;

/** A flora that is taken along. */
final readonly class PackedFloraView
{
    /**
     * @param string $name    name of the flora
     * @param string $title   what it is called
     * @param string $edition the edition its authors gave it
     * @param string $hash    SHA-256 of the flora
     * @param string $stamp   changes whenever the packed flora does
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $edition,
        public string $hash,
        public string $stamp,
    ) {
    }
}

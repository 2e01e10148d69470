<?php

declare(strict_types=1);

namespace App\Running\View;

/** The edition of a flora that is in use. */
final readonly class EditionView
{
    /**
     * @param string $name    name of the flora
     * @param string $title   title in words
     * @param string $edition edition of the flora
     * @param string $hash    SHA-256 of the content
     */
    public function __construct(
        public string $name,
        public string $title,
        public string $edition,
        /** The first twelve digits. */ public string $hash,
    ) {
    }
}

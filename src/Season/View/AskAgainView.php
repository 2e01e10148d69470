<?php

declare(strict_types=1);

namespace App\Season\View;

/** A place whose owner should be asked again. */
final readonly class AskAgainView
{
    /**
     * @param string $site  id of the place
     * @param string $name  what it is called
     * @param string $owner whose land it is
     * @param string $until last day of the permission, YYYY-MM-DD
     * @param bool   $ended it has ended: the gate stays shut there
     */
    public function __construct(
        public string $site,
        public string $name,
        public string $owner,
        public string $until,
        public bool $ended,
    ) {
    }
}

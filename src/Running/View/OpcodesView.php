<?php

declare(strict_types=1);

namespace App\Running\View;

/** The cache of compiled PHP of the process that answered. */
final readonly class OpcodesView
{
    /**
     * @param int  $usedBytes   of the store of compiled PHP
     * @param int  $freeBytes   left in it
     * @param int  $wastedBytes held by what is out of date
     * @param int  $files       compiled files in it
     * @param bool $full        nothing more gets in
     * @param int  $restarts    how often it was emptied
     */
    public function __construct(
        public int $usedBytes,
        public int $freeBytes,
        /** Given up by what was compiled anew; the cache starts afresh when there is too much of it. */ public int $wastedBytes,
        public int $files,
        /** Nothing more is taken in: raise opcache.memory_consumption. */ public bool $full,
        /** How often it started afresh for want of room. */ public int $restarts,
    ) {
    }
}

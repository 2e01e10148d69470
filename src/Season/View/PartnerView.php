<?php

declare(strict_types=1);

namespace App\Season\View;

use App\Trees\Sex;

/** A tree of the same kind near another. */
final readonly class PartnerView
{
    /**
     * @param string $id       its id
     * @param string $tag      tag on the tree
     * @param float  $distance metres
     * @param float  $bearing  degrees from true north
     * @param bool   $serves   its pollen would do, or nothing speaks against it
     */
    public function __construct(
        public string $id,
        public string $tag,
        public Sex $sex,
        public float $distance,
        public float $bearing,
        public bool $serves,
    ) {
    }
}

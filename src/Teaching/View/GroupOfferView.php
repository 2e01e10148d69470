<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** What a place offers a group on a day. */
final readonly class GroupOfferView
{
    /**
     * @param list<OfferedTreeView> $trees that may be touched first
     * @param list<string> $handsOff tags and labels of what must not be touched
     */
    public function __construct(
        public array $trees,
        public array $handsOff,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** What the owner and the rules of the place allow. */
final readonly class PlaceTerms
{
    /**
     * @param bool|null               $permission    granted, refused, or not recorded (null)
     * @param \DateTimeImmutable|null $validUntil    last day of the permission; none if it has no end
     * @param list<string>            $protectedTaxa protected at this place, by taxon id
     * @param array<string, Quota>    $quotas        of the claimed part, by taxon; none where it is not limited
     * @param bool                    $coversPart    the permission is for the claimed part too; so it is where it names none
     * @param LastWord|null           $lastWord      known only as it was then; none where the records are at hand
     */
    public function __construct(
        public ?bool $permission,
        public ?\DateTimeImmutable $validUntil = null,
        public array $protectedTaxa = [],
        public array $quotas = [],
        public bool $coversPart = true,
        public ?LastWord $lastWord = null,
    ) {
    }
}

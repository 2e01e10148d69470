<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** What the owner and the rules of the place allow. */
final readonly class PlaceTerms
{
    /**
     * @param bool|null               $permission     granted, refused, or not recorded (null)
     * @param \DateTimeImmutable|null $validUntil     last day of the permission; none if it has no end
     * @param list<string>            $protectedTaxa  protected at this place, by taxon id
     * @param int|null                $takingsAllowed takings of this part per year; none if not limited
     * @param int                     $takingsUsed    takings of this part this year
     */
    public function __construct(
        public ?bool $permission,
        public ?\DateTimeImmutable $validUntil = null,
        public array $protectedTaxa = [],
        public ?int $takingsAllowed = null,
        public int $takingsUsed = 0,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;

/** What somebody wants to take: this part, of what they take this tree for. */
final readonly class Claim
{
    /**
     * @param array<string, bool> $confirmed condition id → what was found with the part in view; missing: not looked
     */
    public function __construct(public Taxon $taxon, public Part $part, public array $confirmed)
    {
    }

    /**
     * Whether the taxon need not be excluded: it is the claimed one; the part may be taken from any of the group it
     * belongs to; or it is a hybrid of the claimed one, which shows all that its parents show and which point 4 keeps out.
     */
    public function allows(Flora $flora, Taxon $taxon): bool
    {
        return $taxon->id === $this->taxon->id
            || \in_array($this->taxon->id, $taxon->parents, true)
            || ('' !== $this->part->group && \in_array($taxon->id, $flora->groups[$this->part->group]->members, true));
    }

    /** Whether this leader is what the claim asks for: the claimed taxon, or one of the group whose name is enough for the part. */
    public function isMetBy(Flora $flora, string $leader): bool
    {
        return $leader === $this->taxon->id || ('' !== $this->part->group && \in_array($leader, $flora->groups[$this->part->group]->members, true));
    }

    public function words(): string
    {
        return $this->taxon->commonName().', '.$this->part->label;
    }
}

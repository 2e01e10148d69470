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
     * @param array<string, ConditionAnswer> $confirmed by condition; missing: not looked
     */
    public function __construct(public Taxon $taxon, public Part $part, public array $confirmed)
    {
    }

    /**
     * Whether the taxon need not be excluded: it is the claimed one; the part may be taken from any of the group it
     * belongs to; or it is a hybrid of the claimed one, which shows all that its parents show and which point 4 keeps
     * out.
     */
    public function allows(Flora $flora, Taxon $taxon): bool
    {
        return $this->isMetBy($flora, $taxon->id) || \in_array($this->taxon->id, $taxon->parents, true);
    }

    /**
     * Whether this leader is what the claim asks for: the claimed taxon, or one of the group whose name is enough for
     * the part.
     */
    public function isMetBy(Flora $flora, string $leader): bool
    {
        return \in_array($leader, $this->kinds($flora), true);
    }

    /** @return non-empty-list<string> the taxa from any of which the part may be taken */
    public function kinds(Flora $flora): array
    {
        return array_values(
            array_unique([
                $this->taxon->id,
                ...'' === $this->part->group ? [] : $flora->groups[$this->part->group]->members,
            ]),
        );
    }
}

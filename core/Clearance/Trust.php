<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/**
 * What a learner has earned: to count as an examiner for one part of one kind, for a time. It counts for what was
 * examined while it lasted, and only as long as it lasts.
 */
final readonly class Trust
{
    /**
     * @param string             $taxon id of the kind
     * @param string             $part  id of its part
     * @param \DateTimeImmutable $from  first day
     * @param \DateTimeImmutable $until last day
     */
    public function __construct(
        public string $taxon,
        public string $part,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
    ) {
    }

    /** Whether it holds for this part, of a tree examined on the one day and decided on on the other. */
    public function covers(Claim $claim, \DateTimeImmutable $examinedOn, \DateTimeImmutable $decidedOn): bool
    {
        return $claim->taxon->id === $this->taxon
            && $claim->part->id === $this->part
            && $this->from <= $examinedOn
            && $examinedOn <= $this->until
            && $this->from <= $decidedOn
            && $decidedOn <= $this->until;
    }
}

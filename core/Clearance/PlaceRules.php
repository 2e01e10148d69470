<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** All that the owner and the rules of a place say, of whatever may be wanted there. */
final readonly class PlaceRules
{
    /**
     * @param bool|null               $permission granted, refused, or not recorded (null)
     * @param \DateTimeImmutable|null $until      last day of the permission; none if it has no end
     * @param list<string>            $parts      what the permission is for, as "taxon/part"; empty: for everything
     * @param list<string>            $protected  taxa protected at this place
     * @param array<string, int>      $allowed    takings in a year by "taxon/part", where they are counted
     */
    public function __construct(
        public ?bool $permission,
        public ?\DateTimeImmutable $until = null,
        public array $parts = [],
        public array $protected = [],
        public array $allowed = [],
    ) {
    }

    /**
     * @param array<string, int> $used     takings of this part in this year, by taxon
     * @param LastWord|null      $lastWord where they are known only as they were then
     */
    public function terms(string $taxon, string $part, array $used, ?LastWord $lastWord = null): PlaceTerms
    {
        $quotas = [];
        foreach ($used as $kind => $times) {
            if (isset($this->allowed[$kind.'/'.$part])) {
                $quotas[$kind] = new Quota($this->allowed[$kind.'/'.$part], $times);
            }
        }

        return new PlaceTerms(
            $this->permission,
            $this->until,
            $this->protected,
            $quotas,
            [] === $this->parts || \in_array($taxon.'/'.$part, $this->parts, true),
            $lastWord,
        );
    }
}

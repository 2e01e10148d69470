<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

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

    public function words(): string
    {
        return $this->taxon->commonName().', '.$this->part->label;
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Learning\PracticeTree;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** A practice tree with all that is asked of it. */
final readonly class DrawnTree
{
    /**
     * @param CompiledFlora $compiled  the flora it is examined by; the tree itself may be of another
     * @param Flora         $of        the flora that describes it
     * @param Taxon|null    $hope      of which a part is hoped for; null where nothing is taken that month
     */
    public function __construct(
        public PracticeCode $code,
        public PracticeTree $tree,
        public CompiledFlora $compiled,
        public Flora $of,
        public Phenology $phenology,
        public DayOfYear $day,
        public ?Taxon $hope,
        public ?Part $part,
    ) {
    }

    /** Whether the flora it is examined by does not know it. */
    public function isOutsider(): bool
    {
        return !isset($this->compiled->numbers[$this->tree->taxon->id]);
    }

    /** Whether it is what is hoped for, or of the group whose name is enough. */
    public function isWanted(): bool
    {
        if (null === $this->hope || null === $this->part || $this->isOutsider()) {
            return false;
        }
        $kinds = '' === $this->part->group
            ? [$this->hope->id]
            : $this->compiled->flora->groups[$this->part->group]->members ?? [$this->hope->id];

        return \in_array($this->tree->taxon->id, $kinds, true);
    }
}

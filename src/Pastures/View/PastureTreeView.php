<?php

declare(strict_types=1);

namespace App\Pastures\View;

use Hylognosis\Stock\HeightFrom;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\Zone;
use Hylognosis\Survey\CountClass;
use Hylognosis\Survey\SeenMark;

/** A tree or a stand in a pasture, or that reaches over its fence if it falls. */
final readonly class PastureTreeView
{
    /**
     * @param string         $id          of the tree or of the stand
     * @param bool           $isStand     several together, without tags
     * @param string         $label       the tag, or what the stand is called
     * @param string         $kind        what it is held to be, in words; empty: nobody has settled it
     * @param string         $taxon       id, where it is one kind
     * @param float          $metres      from the fence, inside or outside
     * @param float          $reach       metres it reaches if it falls, its uncertain place counted in
     * @param float          $height      metres
     * @param float|null     $leafGrams   fresh leaves it carries in full leaf; null where its girth is not known
     * @param list<SeenMark> $marks       what was seen of it last on a walk
     * @param string         $health      what stands in its record
     * @param list<string>   $now         what of it animals get at this month; nothing is known otherwise
     * @param bool           $anyOfIt     nobody has said what matters when: anything of it has to be reckoned with
     * @param float|null     $cubicMetres in the stem, about; null where it was not measured
     * @param float          $latitude    degrees, of what stands nearest the fence
     * @param float          $longitude   degrees
     */
    public function __construct(
        public string $id,
        public bool $isStand,
        public string $label,
        public CountClass $count,
        public string $kind,
        public string $taxon,
        public Zone $zone,
        public float $metres,
        public float $reach,
        public float $height,
        public HeightFrom $heightFrom,
        public Peril $peril,
        public ?float $leafGrams,
        public array $marks,
        public string $health,
        public array $now,
        public bool $anyOfIt,
        public ?float $cubicMetres,
        public ?ChoiceView $choice,
        public float $latitude,
        public float $longitude,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Hazards\View;

use App\Trees\TreeDanger;
use Hylognosis\Care\Allergy;
use Hylognosis\Survey\SeenMark;

/** A tree of the place, as it concerns a group for a day. */
final readonly class DayTreeView
{
    /**
     * @param string           $id          of the tree or of the stand
     * @param string           $label       the tag, or what the stand is called
     * @param bool             $isStand     several together, without tags
     * @param string           $whereabouts how it is found again; may be empty
     * @param string           $kind        common name; empty: nobody has settled it
     * @param bool             $mayTouch    held to be a kind that harms nobody, without doubt and without marks
     * @param list<HazardView> $hazards     to people
     * @param list<SeenMark>   $marks       what was seen of it last on a walk, that may fall or break
     * @param list<Allergy>    $allergies   of those told of, at which it matters
     */
    public function __construct(
        public string $id,
        public string $label,
        public bool $isStand,
        public string $whereabouts,
        public string $kind,
        public TreeDanger $danger,
        public bool $mayTouch,
        public array $hazards,
        public array $marks,
        public array $allergies,
    ) {
    }
}

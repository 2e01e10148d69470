<?php

declare(strict_types=1);

namespace App\Survey\View;

use Hylognosis\Survey\CountClass;
use Hylognosis\Survey\Gap;
use Hylognosis\Survey\SeenMark;
use Hylognosis\Survey\Settled;

/** A tree or a stand of a walk. */
final readonly class WalkedTreeView
{
    /**
     * @param string                $tree        id of the tree or of the stand
     * @param bool                  $isStand     several together, without tags
     * @param string                $label       the tag, or what the stand is called
     * @param string                $whereabouts how it is found again; may be empty
     * @param float|null            $latitude    degrees; null where nobody has taken it
     * @param float|null            $longitude   degrees; null where nobody has taken it
     * @param string|null           $look        id of the look on this walk; null: nobody has come by yet
     * @param string                $kind        what it is held to be, in words; empty: not settled
     * @param string                $of          what a short look took it for: a kind or a group, its id; empty:
     *                                           nothing
     * @param list<SeenMark>        $marks what was seen of it on this walk
     * @param string                $note        what else was said; may be empty
     * @param list<SheetReasonView> $reasons     for which it stands on the sheets
     */
    public function __construct(
        public string $tree,
        public bool $isStand,
        public string $label,
        public string $whereabouts,
        public ?float $latitude,
        public ?float $longitude,
        public ?string $look,
        public string $kind,
        public string $of,
        public Settled $settled,
        public ?Gap $gap,
        public CountClass $count,
        public array $marks,
        public string $note,
        public array $reasons,
    ) {
    }
}

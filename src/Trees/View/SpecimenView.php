<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Gone;
use App\Trees\Specimen;
use App\Trees\TreeDanger;

/** One tagged tree. */
final readonly class SpecimenView
{
    /**
     * @param string     $id          its id
     * @param string     $tag         tag on the tree
     * @param string     $whereabouts how to find it again
     * @param string     $kind        common name of what it is held to be; empty where no kind is held, or none may be
     *                                told now. It opens no gate
     * @param string     $kindName    its scientific name
     * @param TreeDanger $danger      what that kind does to a person
     * @param float|null $latitude    degrees, north above 0; null: nobody has taken it
     * @param float|null $longitude   degrees, east above 0
     */
    public function __construct(
        public string $id,
        public string $tag,
        public string $whereabouts,
        public SiteView $site,
        public string $kind,
        public string $kindName,
        public TreeDanger $danger,
        public Gone $gone,
        public ?float $latitude,
        public ?float $longitude,
    ) {
    }

    public static function of(
        Specimen $specimen,
        string $kind = '',
        string $kindName = '',
        TreeDanger $danger = TreeDanger::Unknown,
    ): self {
        return new self(
            $specimen->id,
            $specimen->tag,
            $specimen->whereabouts,
            SiteView::of($specimen->site),
            $kind,
            $kindName,
            $danger,
            $specimen->gone,
            $specimen->latitude,
            $specimen->longitude,
        );
    }
}

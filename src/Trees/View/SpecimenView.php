<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Specimen;

/** One tagged tree. */
final readonly class SpecimenView
{
    public function __construct(public string $id, public string $tag, public string $whereabouts, public SiteView $site)
    {
    }

    public static function of(Specimen $specimen): self
    {
        return new self($specimen->id, $specimen->tag, $specimen->whereabouts, SiteView::of($specimen->site));
    }
}

<?php

declare(strict_types=1);

namespace App\Field\View;

use App\Trees\View\SiteView;

/** A place, with all that its owner and its rules say, as they stand now. */
final readonly class TakenPlaceView
{
    /**
     * @param array<string, mixed> $rules permission, until, parts, protected, allowed and used by "taxon/part"
     */
    public function __construct(public SiteView $site, public array $rules)
    {
    }
}

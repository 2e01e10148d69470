<?php

declare(strict_types=1);

namespace App\Examine\View;

/** One line under a point. */
final readonly class PointItemView
{
    /**
     * @param string $about   `character`, `taxon`, `condition` or `window`
     * @param string $subject its id
     * @param string $code    of the reason
     */
    public function __construct(public string $about, public string $subject, public string $label, public string $status, public string $code, public string $detail)
    {
    }
}

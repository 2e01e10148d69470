<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Subject;

/** One line under a point. */
final readonly class PointItemView
{
    /**
     * @param string $subject its id
     * @param string $code    of the reason
     */
    public function __construct(public Subject $about, public string $subject, public string $label, public PointStatus $status, public string $code, public string $detail)
    {
    }
}

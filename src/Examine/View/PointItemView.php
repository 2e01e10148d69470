<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Subject;

/** One line under a point. */
final readonly class PointItemView
{
    /**
     * @param string $subject id of what it is about
     * @param string $label   what it is about, in words
     * @param string $code    of the reason
     * @param string $detail  how it stands, in a sentence
     */
    public function __construct(
        public Subject $about,
        public string $subject,
        public string $label,
        public PointStatus $status,
        public string $code,
        public string $detail,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning\View;

use Hylognosis\Flora\Severity;

/** How often a dangerous kind would pass for the part. */
final readonly class SchoolPassingView
{
    /**
     * @param string $name    common name of the dangerous kind
     * @param float  $school  at most so often with the rates counted here, 0 to 1
     * @param float  $average at most so often with an average examiner, 0 to 1
     */
    public function __construct(
        public string $name,
        public Severity $severity,
        public float $school,
        public float $average,
    ) {
    }
}

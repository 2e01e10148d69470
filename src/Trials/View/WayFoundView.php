<?php

declare(strict_types=1);

namespace App\Trials\View;

use App\Trials\Damp;

/** How often one way of one stuff worked. */
final readonly class WayFoundView
{
    /**
     * @param string     $of       of what
     * @param string     $way      how
     * @param Damp       $damp     how damp it was
     * @param int        $tried    times
     * @param int        $worked   of them
     * @param int        $least    per cent; nineteen times of twenty it works more often than this
     * @param int        $most     per cent, and less often than this
     * @param float|null $seconds  the middle time where it worked
     */
    public function __construct(
        public string $of,
        public string $way,
        public Damp $damp,
        public int $tried,
        public int $worked,
        public int $least,
        public int $most,
        public ?float $seconds,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Web;

/** Somebody who has chosen a flora to work with. */
interface WorksWithFlora
{
    /** Its name. */
    public function worksWith(): string;
}

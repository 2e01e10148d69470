<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** One of the nine points that must all hold before a part may be taken. */
interface Point
{
    public function judge(Dossier $dossier): PointReport;
}

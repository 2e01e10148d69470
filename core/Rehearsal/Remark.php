<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

/** Something a flora check found. */
final readonly class Remark
{
    /** @param bool $fault has to be mended before anybody relies on the flora; otherwise worth a look */
    public function __construct(public bool $fault, public string $where, public string $what)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Examine\View;

/** A stated never that an exclusion leans on. */
final readonly class LineView
{
    /**
     * @param string $id     its id
     * @param string $label  name of the character
     * @param string $reason why, in a sentence
     * @param int    $readBy people who have read it and agreed, beside its author
     */
    public function __construct(public string $id, public string $label, public string $reason, public int $readBy)
    {
    }
}

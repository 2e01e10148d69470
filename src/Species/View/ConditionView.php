<?php

declare(strict_types=1);

namespace App\Species\View;

/** Something asked with the part in view. */
final readonly class ConditionView
{
    /**
     * @param string $id       its id
     * @param string $question as it is asked of the examiner
     * @param string $note     what to look for
     * @param bool   $wanted   the answer that lets the gate open
     */
    public function __construct(public string $id, public string $question, public string $note, public bool $wanted)
    {
    }
}

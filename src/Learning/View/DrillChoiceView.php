<?php

declare(strict_types=1);

namespace App\Learning\View;

/** One of the answers to choose from. */
final readonly class DrillChoiceView
{
    /**
     * @param string $id    what is sent
     * @param string $label what is read
     */
    public function __construct(public string $id, public string $label)
    {
    }
}

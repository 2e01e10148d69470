<?php

declare(strict_types=1);

namespace App\Batches\View;

/** A batch that was once one pot with another. */
final readonly class BatchKinView
{
    /**
     * @param string     $id      of it
     * @param string     $name    what it is called
     * @param float|null $percent of the pot that was taken out
     */
    public function __construct(public string $id, public string $name, public ?float $percent)
    {
    }
}

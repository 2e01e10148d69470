<?php

declare(strict_types=1);

namespace App\Pastures\View;

/** All pastures on a day. */
final readonly class PasturesView
{
    /**
     * @param string            $day       the day of what matters, YYYY-MM-DD
     * @param list<PastureView> $pastures  by name
     * @param bool              $mayChange whether the reader may enter and change them
     */
    public function __construct(public string $day, public array $pastures, public bool $mayChange)
    {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** How often a character is misread, and what is then read instead. */
final readonly class Legibility
{
    /**
     * @param float                       $misreading how often a careful person misreads it, 0 to 0.3
     * @param array<string, list<string>> $confusions state id → ids of the states it gets taken for
     */
    public function __construct(public float $misreading, public array $confusions = [])
    {
    }
}

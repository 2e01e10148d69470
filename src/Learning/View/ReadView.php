<?php

declare(strict_types=1);

namespace App\Learning\View;

/** One character: what was there, and what was read. */
final readonly class ReadView
{
    /**
     * @param string       $character id
     * @param string       $label     its name
     * @param bool         $isRight   whether all that was read was there
     * @param list<string> $true      what was there, in words
     * @param list<string> $read      what was read, in words
     * @param list<string> $trueIds   states; none for numbers
     * @param list<string> $readIds   states; none for numbers
     */
    public function __construct(
        public string $character,
        public string $label,
        public bool $isRight,
        public array $true,
        public array $read,
        public array $trueIds,
        public array $readIds,
    ) {
    }
}

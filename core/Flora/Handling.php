<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What is done with a part, what it gives, and what stays on the tree. */
final readonly class Handling
{
    /**
     * @param list<string> $preparation steps, in order
     * @param string       $leave       the share to leave, in words; empty where the flora does not say
     * @param string       $yield       what it usually gives, in words; empty where the flora does not say
     * @param int|null     $effort      1 (by the way) to 5 (a day’s work); null where the flora does not say
     */
    public function __construct(
        public array $preparation = [],
        public string $leave = '',
        public string $yield = '',
        public ?int $effort = null,
    ) {
    }
}

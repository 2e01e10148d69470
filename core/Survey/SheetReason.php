<?php

declare(strict_types=1);

namespace Hylognosis\Survey;

use Hylognosis\Flora\Severity;

/** One reason for which a tree stands on a sheet. */
final readonly class SheetReason
{
    /**
     * @param string        $detail which part of it, or what was seen; empty where the matter says all
     * @param list<string>  $whom   it harms, the words of the floras
     * @param Severity|null $severity how badly
     */
    public function __construct(
        public SheetMatter $what,
        public string $detail = '',
        public array $whom = [],
        public ?Severity $severity = null,
    ) {
    }
}

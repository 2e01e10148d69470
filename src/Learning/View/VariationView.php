<?php

declare(strict_types=1);

namespace App\Learning\View;

/** What trees of one kind showed in one character, in the school's own records. */
final readonly class VariationView
{
    /**
     * @param string       $kind   common name
     * @param string       $label  of the character
     * @param list<string> $values "5 on 12 trees", the most frequent first
     */
    public function __construct(public string $kind, public string $label, public array $values)
    {
    }
}

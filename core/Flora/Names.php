<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** What a kind is called, beside its botanical name. */
final readonly class Names
{
    /**
     * @param list<string> $common     the first is the one shown
     * @param list<string> $synonyms   other botanical names
     * @param list<string> $misleading what is wrong with its common names
     * @param string       $meaning    of the botanical name; empty where the flora does not say
     */
    public function __construct(
        public string $author,
        public string $family,
        public array $common,
        public array $synonyms = [],
        public array $misleading = [],
        public string $meaning = '',
    ) {
    }
}

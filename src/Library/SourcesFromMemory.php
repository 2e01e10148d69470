<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;

/** The works that a table beside the floras was written from, from memory of them. */
final class SourcesFromMemory
{
    /** @return array<string, string> id → how it is named to a reader */
    public static function of(Node $root): array
    {
        $sources = [];
        foreach ($root->children('sources') as $source) {
            $source->onlyKnows(['id', 'title', 'author', 'year']);
            $named = [
                ...$source->has('author') ? [$source->text('author')] : [],
                $source->text('title'),
                ...$source->has('year') ? [$source->text('year')] : [],
            ];
            $sources[$source->text('id')] = implode(', ', $named).', from memory';
        }

        return $sources;
    }

    /**
     * @param array<string, string> $sources
     *
     * @throws DocumentError if the row names none of them
     */
    public static function named(array $sources, Node $row): string
    {
        return $sources[$row->text('source')] ??
            throw DocumentError::at($row->path.'.source', 'no such source is named.');
    }
}

<?php

declare(strict_types=1);

namespace App\Hazards\View;

use Hylognosis\Flora\NoRecord;
use Hylognosis\Flora\Taxon;

/** Looked for, and no harm to these on record, which is no proof. */
final readonly class NoRecordView
{
    /**
     * @param list<string> $who  whom: people, horses, cattle …
     * @param string       $note in a sentence; empty where there is none
     */
    public function __construct(public array $who, public string $note)
    {
    }

    /**
     * @return list<self> of a kind that harms anyone also those its flora says nothing of: silence is no record either
     */
    public static function of(Taxon $taxon): array
    {
        $views = array_map(static fn (NoRecord $n): self => new self($n->who, $n->note), $taxon->noRecords);
        $silent = $taxon->saysNothingOf();

        return [] === $silent ? $views : [...$views, new self($silent, '')];
    }
}

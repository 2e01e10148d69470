<?php

declare(strict_types=1);

namespace App\Batches;

/** What is doubted, so that all that it touched is called back. */
enum RecallOf: string
{
    case Tree = 'tree';
    case Decision = 'decision';
    case Examiner = 'examiner';
    /** A part as the flora describes it: "taxon/part". */
    case FloraLine = 'flora-line';
    case Batch = 'batch';
}

<?php

declare(strict_types=1);

namespace App\Species\View;

use Hylognosis\Flora\LifeStage;

/** Two to four taxa side by side: what parts them. */
final readonly class ComparisonView
{
    /**
     * @param list<ComparedView> $taxa in the order they were named
     * @param list<PartingView>  $rows what parts them, the most telling first
     */
    public function __construct(public LifeStage $stage, public array $taxa, public array $rows)
    {
    }
}

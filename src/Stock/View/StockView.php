<?php

declare(strict_types=1);

namespace App\Stock\View;

/** What a flora says of harm to animals. */
final readonly class StockView
{
    /**
     * @param list<StockKindView> $kinds  that harm some animal, the worst first
     * @param list<string>        $silent common names of woody kinds of which no harm to animals is on record
     */
    public function __construct(public array $kinds, public array $silent)
    {
    }
}

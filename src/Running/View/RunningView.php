<?php

declare(strict_types=1);

namespace App\Running\View;

/** How the server does. */
final readonly class RunningView
{
    /**
     * @param list<string>      $troubles  what keeps it from its work, a sentence each
     * @param int               $daysShown how many days the figures reach back
     * @param list<FiguresView> $days      the last first
     * @param list<FiguresView> $addresses most asked first
     * @param list<FaultView>   $faults    failures on our side, the last first
     * @param list<CountView>   $holds     what the database holds
     * @param list<EditionView> $floras    editions in use
     * @param list<StoreView>   $stores    what is kept ready
     * @param OpcodesView|null  $opcodes   null where nothing is kept compiled
     */
    public function __construct(
        public array $troubles,
        public int $daysShown,
        public array $days,
        public array $addresses,
        public array $faults,
        public DatabaseView $database,
        public array $holds,
        public array $floras,
        public array $stores,
        public ?OpcodesView $opcodes,
    ) {
    }
}

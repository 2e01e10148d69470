<?php

declare(strict_types=1);

namespace App\Learning\View;

/** What somebody confuses, how sure he is, and how it goes over the months. */
final readonly class ProgressView
{
    /**
     * @param string                        $person      whose
     * @param list<CharacterConfusionsView> $characters  the most misread first
     * @param list<KindPairView>            $pairs       the most frequent first
     * @param list<CalibrationView>         $calibration sure, likely, unsure; words never used are missing
     * @param float|null                    $brier       0 (always right and sure) to 1; null where nothing was read
     * @param list<LearningMonthView>               $months      the last first
     * @param int                           $due         questions that are due again
     */
    public function __construct(
        public string $person,
        public array $characters,
        public array $pairs,
        public array $calibration,
        public ?float $brier,
        public array $months,
        public int $due,
    ) {
    }
}

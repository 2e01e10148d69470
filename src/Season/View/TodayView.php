<?php

declare(strict_types=1);

namespace App\Season\View;

use App\Batches\View\BatchSummaryView;
use App\Examine\View\ExaminationSummaryView;
use App\Harvest\View\HarvestView;

/** What matters today. */
final readonly class TodayView
{
    /**
     * @param string                       $today    the day the school takes for today, YYYY-MM-DD
     * @param string                       $place    name of the place the seasons are told for
     * @param list<ExaminationSummaryView> $open     begun and not signed, mine
     * @param list<ExaminationSummaryView> $waiting  wait for a second look that I could take
     * @param list<ExaminationSummaryView> $recent   signed lately
     * @param list<InWindowView>           $inWindow parts that are in season today
     * @param list<AskAgainView>           $askAgain   places whose permission ends within three weeks, or has ended
     * @param list<HarvestView>            $harvests the last ones
     * @param list<DueView>                $due      what own trees call for, at all places
     * @param list<WeatherNoteView>        $weather  of the last days, where it matters
     * @param LessonView|null              $lesson   a pair to learn to tell apart
     * @param list<BatchSummaryView>       $making   what is being made
     */
    public function __construct(
        public string $today,
        public string $place,
        public array $open,
        public array $waiting,
        public array $recent,
        public array $inWindow,
        public array $harvests,
        public array $askAgain,
        public array $due,
        public array $weather,
        public ?LessonView $lesson,
        public array $making,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Season\View;

use App\Examine\View\ExaminationSummaryView;
use App\Harvest\View\HarvestView;

/** What matters today. */
final readonly class TodayView
{
    /**
     * @param list<ExaminationSummaryView> $open      begun and not signed, mine
     * @param list<ExaminationSummaryView> $waiting   wait for a second look that I could take
     * @param list<ExaminationSummaryView> $recent    signed lately
     * @param list<InWindowView>           $inWindow
     * @param list<HarvestView>            $harvests
     */
    public function __construct(public string $today, public string $place, public array $open, public array $waiting, public array $recent, public array $inWindow, public array $harvests)
    {
    }
}

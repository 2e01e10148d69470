<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Examine\ExaminationRecord;
use App\Examine\Takings;
use App\Harvest\View\HarvestView;
use App\Library\FloraLibrary;
use App\Trees\Site;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\CalendarDay;
use Symfony\Bundle\SecurityBundle\Security;

/** Shows logged harvests in the units of whoever looks at them. */
final readonly class HarvestLog implements Takings
{
    public function __construct(
        private Security $security,
        private FloraLibrary $library,
        private HarvestRepository $harvests,
    ) {
    }

    public function at(Site $site, string $taxon, string $part, int $year): int
    {
        return $this->harvests->takings($site, $taxon, $part, $year);
    }

    public function under(ExaminationRecord $examination): array
    {
        return array_map($this->view(...), $this->harvests->ofExamination($examination));
    }

    public function view(HarvestRecord $harvest): HarvestView
    {
        $decision = $harvest->decision;
        $flora = $this->library->flora($decision->examination->flora);
        $specimen = $decision->examination->specimen;
        $taxon = $flora->taxon($decision->taxon);
        $viewer = $this->security->getUser();
        $imperial = $viewer instanceof User && 'imperial' === $viewer->units;

        return new HarvestView(
            $harvest->id,
            CalendarDay::iso($harvest->takenOn),
            $harvest->takenBy->name,
            $flora->name,
            $taxon->id,
            $taxon->commonName(),
            $taxon->part($decision->part)->label,
            Amount::of($harvest->amount, $harvest->unit)->in($harvest->unit->counterpart($imperial))->words(),
            $harvest->ripeness,
            $harvest->shareLeft,
            $harvest->note,
            $specimen->tag,
            $specimen->site->name,
            $decision->examination->id,
        );
    }
}

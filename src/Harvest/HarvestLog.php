<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Examine\ExaminationRecord;
use App\Examine\Takings;
use App\Harvest\View\CorrectionView;
use App\Harvest\View\HarvestGroupView;
use App\Harvest\View\HarvestsView;
use App\Harvest\View\HarvestView;
use App\Library\FloraLibrary;
use App\Trees\Site;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Proportion;
use Hylognosis\Processing\Summary;
use Symfony\Bundle\SecurityBundle\Security;

/** Shows logged harvests in the units of whoever looks at them. */
final readonly class HarvestLog implements Takings
{
    private const MOST = 2000;
    private const LISTED = 100;

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
        $interval = $harvest->opened > 0 ? Proportion::of($harvest->sound, $harvest->opened)->clopperPearson() : null;

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
            $harvest->minutes,
            $harvest->opened,
            $harvest->sound,
            $harvest->countBy,
            null === $interval ? null : (int) round(100 * $interval[0]),
            null === $interval ? null : (int) round(100 * $interval[1]),
            $harvest->amount,
            $harvest->unit,
            array_values(
                array_map(
                    static fn (HarvestCorrection $c): CorrectionView => new CorrectionView(
                        CalendarDay::iso($c->at),
                        $c->by->name,
                        $c->because,
                        Amount::of(
                            (float) ($c->before['amount'] ?? 0),
                            AmountUnit::from((string) ($c->before['unit'] ?? '')),
                        )->words(),
                    ),
                    $harvest->corrections->toArray(),
                ),
            ),
        );
    }

    /** @param string $taxon of this kind alone; empty: of all */
    public function grouped(GroupBy $by, string $taxon = ''): HarvestsView
    {
        $harvests = '' === $taxon ? $this->harvests->newest(self::MOST) : $this->harvests->ofTaxon($taxon, self::MOST);
        $groups = [];
        foreach ($harvests as $harvest) {
            // amounts of different things are never added up
            $groups[$this->key($harvest, $by).'|'.$harvest->unit->measures()][] = $harvest;
        }
        $views = array_map($this->group(...), array_keys($groups), $groups);
        usort(
            $views,
            static fn (HarvestGroupView $a, HarvestGroupView $b): int => [$b->times, $a->label] <=> [
                $a->times,
                $b->label,
            ],
        );

        return new HarvestsView($by, $views, array_map($this->view(...), \array_slice($harvests, 0, self::LISTED)));
    }

    private function key(HarvestRecord $harvest, GroupBy $by): string
    {
        $tree = $harvest->decision->examination->specimen;
        $view = $this->view($harvest);
        $kind = $view->commonName.', '.$view->part;
        $year = $harvest->takenOn->format('Y');

        return match ($by) {
            GroupBy::Kind => $kind,
            GroupBy::KindAndYear => $kind.', '.$year,
            GroupBy::Tree => $tree->tag.': '.$kind,
            GroupBy::Site => $tree->site->name.': '.$kind,
            GroupBy::Person => $harvest->takenBy->name.': '.$kind,
            GroupBy::Year => $year,
        };
    }

    /** @param non-empty-list<HarvestRecord> $harvests of one kind of amount */
    private function group(string $key, array $harvests): HarvestGroupView
    {
        $viewer = $this->security->getUser();
        $unit = $harvests[0]->unit->counterpart($viewer instanceof User && 'imperial' === $viewer->units);
        $amounts = $perHour = [];
        $opened = $sound = 0;
        foreach ($harvests as $harvest) {
            $amounts[] = $amount = ($harvest->amount * $harvest->unit->inBase()) / $unit->inBase();
            if (null !== $harvest->minutes) {
                $perHour[] = ($amount * 60) / $harvest->minutes;
            }
            $opened += $harvest->opened;
            $sound += $harvest->sound;
        }
        $all = Summary::of($amounts);
        $hours = [] === $perHour ? null : Summary::of($perHour);
        $share = $opened > 0 ? Proportion::of($sound, $opened) : null;
        $interval = $share?->clopperPearson();

        return new HarvestGroupView(
            $key,
            explode('|', $key)[0],
            \count($harvests),
            $unit->value,
            round(array_sum($amounts), 3),
            round($all->median, 3),
            round($all->lower, 3),
            round($all->upper, 3),
            null === $hours ? null : round($hours->median, 3),
            null === $hours ? null : round($hours->lower, 3),
            null === $hours ? null : round($hours->upper, 3),
            \count($perHour),
            $opened,
            null === $share ? null : (int) round(100 * $share->share()),
            null === $interval ? null : (int) round(100 * $interval[0]),
            null === $interval ? null : (int) round(100 * $interval[1]),
        );
    }
}

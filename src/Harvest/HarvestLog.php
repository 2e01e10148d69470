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
use App\Harvest\View\LearntView;
use App\Library\FloraLibrary;
use App\Library\PollinationTable;
use App\Trees\Site;
use Hylognosis\Crop\EmptyBecause;
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
        private HarvestWeather $weather,
        private PollinationTable $pollination,
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
        $taken = $harvest->taken;
        $interval = $taken->opened > 0 ? Proportion::of($taken->sound, $taken->opened)->clopperPearson() : null;

        return new HarvestView(
            $harvest->id,
            CalendarDay::iso($harvest->takenOn),
            $harvest->takenBy->name,
            $flora->name,
            $taxon->id,
            $taxon->commonName(),
            $taxon->part($decision->part)->label,
            Amount::of($taken->amount, $taken->unit)->in($taken->unit->counterpart($imperial))->words(),
            $taken->ripeness,
            $taken->shareLeft,
            $taken->note,
            $specimen->tag,
            $specimen->id,
            $specimen->site->name,
            $decision->examination->id,
            $taken->minutes,
            $taken->opened,
            $taken->sound,
            $taken->countBy,
            null === $interval ? null : (int) round(100 * $interval[0]),
            null === $interval ? null : (int) round(100 * $interval[1]),
            $taken->amount,
            $taken->unit,
            $taken->sex,
            $taken->lone,
            $taken->opened > 0
                ? EmptyBecause::of(
                    $taken->opened,
                    $taken->sound,
                    $this->pollination->of($taxon->id)?->partner,
                    $taken->lone,
                )
                : null,
            $this->weather->of($harvest),
            array_values(
                array_map(
                    static fn (HarvestCorrection $c): CorrectionView => new CorrectionView(
                        CalendarDay::iso($c->at),
                        $c->by->name,
                        $c->because,
                        Amount::of(
                            self::number($c->before['amount'] ?? 0),
                            AmountUnit::from(self::text($c->before['unit'] ?? '')),
                        )->words(),
                    ),
                    $harvest->corrections->toArray(),
                ),
            ),
        );
    }

    /**
     * What was learnt the last time something was taken of trees.
     *
     * @param list<string> $trees ids
     *
     * @return array<string, array<string, LearntView>> by tree and part
     */
    public function learnt(array $trees, User $reader): array
    {
        return array_map(
            static fn (array $parts): array => array_map(
                static fn (HarvestRecord $h): LearntView => new LearntView(
                    CalendarDay::iso($h->takenOn),
                    $h->takenBy->name,
                    Amount::of($h->taken->amount, $h->taken->unit)
                        ->in($h->taken->unit->counterpart('imperial' === $reader->units))
                        ->words(),
                    $h->taken->minutes,
                    $h->taken->note,
                ),
                $parts,
            ),
            [] === $trees ? [] : $this->harvests->lastOf($trees),
        );
    }

    /** @param string $taxon of this kind alone; empty: of all */
    public function grouped(GroupBy $by, string $taxon = ''): HarvestsView
    {
        $harvests = '' === $taxon ? $this->harvests->newest(self::MOST) : $this->harvests->ofTaxon($taxon, self::MOST);
        $groups = [];
        foreach ($harvests as $harvest) {
            // amounts of different things are never added up
            $groups[$this->key($harvest, $by).'|'.$harvest->taken->unit->measures()][] = $harvest;
        }
        $views = array_map(
            fn (string $key, array $of): HarvestGroupView => $this->group(
                $key,
                $of,
                GroupBy::KindAndYear === $by ? $this->ofOtherYears($of[0], $harvests) : [],
            ),
            array_keys($groups),
            $groups,
        );
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
        $decision = $harvest->decision;
        $taxon = $this->library->flora($decision->examination->flora)->taxon($decision->taxon);
        $kind = $taxon->commonName().', '.$taxon->part($decision->part)->label;
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

    /**
     * @param list<HarvestRecord> $all
     *
     * @return list<HarvestRecord> of the same kind and part, by the same kind of amount, in other years
     */
    private function ofOtherYears(HarvestRecord $one, array $all): array
    {
        return array_values(
            array_filter(
                $all,
                static fn (HarvestRecord $h): bool => $h->decision->taxon === $one->decision->taxon
                    && $h->decision->part === $one->decision->part
                    && $h->taken->unit->measures() === $one->taken->unit->measures()
                    && $h->takenOn->format('Y') !== $one->takenOn->format('Y'),
            ),
        );
    }

    /**
     * @param list<HarvestRecord> $harvests
     *
     * @return list<float> in an hour, of those whose time was noted
     */
    private static function perHour(array $harvests, AmountUnit $unit): array
    {
        $perHour = [];
        foreach ($harvests as $harvest) {
            if (null !== $harvest->taken->minutes) {
                $perHour[] =
                    ($harvest->taken->amount * $harvest->taken->unit->inBase() * 60) /
                    ($unit->inBase() * $harvest->taken->minutes);
            }
        }

        return $perHour;
    }

    /**
     * @param non-empty-list<HarvestRecord> $harvests of one kind of amount
     * @param list<HarvestRecord>           $others   it is told against
     */
    private function group(string $key, array $harvests, array $others): HarvestGroupView
    {
        $viewer = $this->security->getUser();
        $unit = $harvests[0]->taken->unit->counterpart($viewer instanceof User && 'imperial' === $viewer->units);
        $perHour = self::perHour($harvests, $unit);
        $againstHours = self::perHour($others, $unit);
        $amounts = [];
        $opened = $sound = 0;
        foreach ($harvests as $harvest) {
            $taken = $harvest->taken;
            $amounts[] = ($taken->amount * $taken->unit->inBase()) / $unit->inBase();
            $opened += $taken->opened;
            $sound += $taken->sound;
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
            [] === $againstHours ? null : round(Summary::of($againstHours)->median, 3),
            \count($againstHours),
            $opened,
            null === $share ? null : (int) round(100 * $share->share()),
            null === $interval ? null : (int) round(100 * $interval[0]),
            null === $interval ? null : (int) round(100 * $interval[1]),
        );
    }

    private static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}

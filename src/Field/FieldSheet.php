<?php

declare(strict_types=1);

namespace App\Field;

use App\Clock\SchoolClock;
use App\Field\View\FieldSheetView;
use App\Field\View\SheetDangerView;
use App\Library\FloraLibrary;
use App\Trees\Site;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\DangerReport;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\InSight;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Units;
use Hylognosis\Season\Phenology;

/** Draws up a sheet to be filled in with a pencil: for a wanted part, or for a tree nobody knows. */
final readonly class FieldSheet
{
    /** So often at least a state is shown to be named on paper. */
    private const USUAL = 0.25;

    public function __construct(
        private FloraLibrary $library,
        private Assessor $assessor,
        private SchoolClock $clock,
    ) {
    }

    /** @param Site|null $site null: the reference place of the flora */
    public function of(Flora $flora, ?Taxon $taxon, ?Part $part, ?Site $site, Units $units): FieldSheetView
    {
        $day = $this->clock->today();
        $place = $site?->place() ?? $flora->reference;
        $claim = null === $taxon || null === $part ? null : new Claim($taxon, $part, []);
        $assessment = $this->assessor->assess(
            $this->library->compiler($flora->name),
            new Inquiry(
                Examination::of($day, LifeStage::Mature, ExaminerRole::Instructor, []),
                $place,
                $day,
                $claim,
                new PlaceTerms(true),
            ),
        );
        $window = null === $part ? null : Phenology::at($flora, $place)->window($part);

        return new FieldSheetView(
            $flora->name,
            $flora->title,
            $flora->edition,
            $flora->hash,
            CalendarDay::iso($day),
            $site->name ?? '',
            null === $window ? '' : $window->words(),
            true === $window?->contains(DayOfYear::on($day)),
            array_map(
                static fn (Character $c): string => $c->id,
                InSight::of($flora, $assessment->identification->examination, $assessment->outlook),
            ),
            null === $claim ? [] : $this->dangers($claim, $assessment->dangers, $units),
        );
    }

    /**
     * @param list<DangerReport> $reports
     *
     * @return list<SheetDangerView>
     */
    private function dangers(Claim $claim, array $reports, Units $units): array
    {
        $views = array_map(static function (DangerReport $report) use ($claim, $units): SheetDangerView {
            $taxon = $report->danger->taxon;
            $lookAlike = $claim->part->lookAlike($taxon->id);

            return new SheetDangerView(
                $taxon->id,
                $taxon->commonName(),
                $taxon->name,
                $report->danger->severity,
                null !== $lookAlike,
                $lookAlike->note ?? '',
                $report->lookAt?->id,
                null === $report->lookAt ? '' : self::usual($taxon, $report->lookAt, $units),
                null === $report->lookAt ? '' : self::usual($claim->taxon, $report->lookAt, $units),
            );
        }, $reports);
        usort($views, static fn (SheetDangerView $a, SheetDangerView $b): int => $b->named <=> $a->named);

        return $views;
    }

    private static function usual(Taxon $taxon, Character $character, Units $units): string
    {
        $range = $taxon->description->range($character->id);
        if (null !== $range) {
            return $range->words($character->unit, $units);
        }
        $shares = $taxon->description->frequencies($character->id) ?? [];
        arsort($shares);
        $labels = [];
        foreach (array_filter($shares, static fn (float $share): bool => $share >= self::USUAL) as $id => $share) {
            $labels[] = $character->states[$id]->label ?? $id;
        }

        return implode(' or ', $labels);
    }
}

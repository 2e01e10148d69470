<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Examine\Covers;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\StoredExaminations;
use App\Harvest\HarvestRepository;
use App\Library\FloraLibrary;
use App\Pictures\PictureRepository;
use App\Season\View\ExpectedView;
use App\Season\View\MarkKind;
use App\Season\View\MarkView;
use App\Season\View\YearsView;
use App\Trees\Gone;
use App\Trees\Specimen;
use App\Trees\TreeMeasureRepository;
use Hylognosis\Examination\Finding;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\Phenology;

/** Draws the years of a tree together: what was seen of it, taken and measured, and what its kind shows when. */
final readonly class TreeYears
{
    private const SHOWN = [
        'leafing' => MarkKind::Leafing,
        'flowering' => MarkKind::Flowering,
        'fruiting' => MarkKind::Fruiting,
    ];

    public function __construct(
        private ExaminationRepository $examinations,
        private StoredExaminations $stored,
        private Covers $covers,
        private HarvestRepository $harvests,
        private TreeMeasureRepository $measures,
        private PictureRepository $pictures,
        private FloraLibrary $library,
    ) {
    }

    public function of(Specimen $tree, User $reader): YearsView
    {
        if ($this->covers->hides($tree, $reader)) {
            return new YearsView([], [], true);
        }
        $marks = [new MarkView(CalendarDay::iso($tree->createdAt), MarkKind::Tagged, 'tagged', '', null)];
        foreach ($this->examinations->ofSpecimen($tree, $reader) as $record) {
            array_push($marks, ...$this->ofExamination($record, $reader));
        }
        foreach ($this->harvests->ofSpecimen($tree) as $harvest) {
            $flora = $this->library->flora($harvest->decision->examination->flora);
            $taxon = $flora->taxa[$harvest->decision->taxon] ?? null;
            $part = null === $taxon ? null : $taxon->parts[$harvest->decision->part] ?? null;
            $marks[] = new MarkView(
                CalendarDay::iso($harvest->takenOn),
                MarkKind::Harvest,
                null === $part ? $harvest->decision->part : $part->label,
                $harvest->takenBy->name,
                $harvest->decision->examination->id,
            );
        }
        foreach ($this->measures->of($tree) as $measure) {
            $marks[] = new MarkView(
                CalendarDay::iso($measure->on),
                MarkKind::Measure,
                'measured',
                $measure->by->name,
                null,
            );
        }
        foreach ($this->pictures->ofTree($tree, $reader) as $picture) {
            $marks[] = new MarkView(
                CalendarDay::iso($picture->takenOn),
                MarkKind::Picture,
                '' === $picture->caption ? 'a picture' : $picture->caption,
                $picture->addedBy->name,
                $picture->examination?->id,
            );
        }
        if (Gone::Not !== $tree->gone && null !== $tree->goneOn) {
            $marks[] = new MarkView(CalendarDay::iso($tree->goneOn), MarkKind::Gone, $tree->gone->value, '', null);
        }
        usort($marks, static fn (MarkView $a, MarkView $b): int => $a->on <=> $b->on);

        return new YearsView($this->expected($tree), $marks, false);
    }

    /** @return list<MarkView> */
    private function ofExamination(ExaminationRecord $record, User $reader): array
    {
        $on = CalendarDay::iso($record->date);
        $marks = [new MarkView($on, MarkKind::Look, 'looked at', $record->examiner->name, $record->id)];
        $shown = [];
        foreach ($record->isOpenTo($reader) ? $this->stored->examinationOf($record)->findings : [] as $finding) {
            foreach (self::phasesOf($finding) as $phase) {
                $shown[$phase->value] = $phase;
            }
        }
        foreach ($shown as $phase) {
            $marks[] = new MarkView($on, $phase, 'seen '.$phase->value, $record->examiner->name, $record->id);
        }

        return $marks;
    }

    /** @return list<MarkKind> what it proves: only a thing that is there at one time of the year, and was there */
    private static function phasesOf(Finding $finding): array
    {
        $phases = $finding->character->sight->phenophases;
        $absence = $finding->character->absence();
        if (
            1 !== \count($phases)
            || !$finding->isOnTheTree()
            || $finding->isNotApplicable()
            || (null !== $absence && \in_array($absence->id, $finding->values(), true))
        ) {
            return [];
        }
        $shown = self::SHOWN[$phases[0]->value] ?? null;

        return null === $shown ? [] : [$shown];
    }

    /** @return list<ExpectedView> */
    private function expected(Specimen $tree): array
    {
        if ('' === $tree->kind || '' === $tree->kindFlora) {
            return [];
        }
        $flora = $this->library->flora($tree->kindFlora);
        $taxon = $flora->taxa[$tree->kind] ?? null;
        if (null === $taxon) {
            return [];
        }
        $phenology = Phenology::at($flora, $tree->site->place());
        $expected = [];
        foreach ([Phenophase::Leafing, Phenophase::Flowering, Phenophase::Fruiting] as $phase) {
            $window = $phenology->stretch($taxon, $phase);
            if (null !== $window) {
                $expected[] = new ExpectedView($phase, $window->from->number, $window->to->number);
            }
        }

        return $expected;
    }
}

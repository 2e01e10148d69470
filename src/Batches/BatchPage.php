<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use App\Batches\View\BatchKinView;
use App\Batches\View\BatchStepView;
use App\Batches\View\BatchSummaryView;
use App\Batches\View\BatchView;
use App\Batches\View\CheckView;
use App\Batches\View\SourceView;
use App\Batches\View\UnitView;
use App\Clock\SchoolClock;
use App\Harvest\HarvestRecord;
use App\Library\FloraLibrary;
use App\Library\RecipeBook;
use App\Recipes\RecipePage;
use App\Recipes\View\RecipeStepView;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\CalendarDay;

/** Draws up what is made, of what, and how far it has come. */
final readonly class BatchPage
{
    public function __construct(
        private FloraLibrary $library,
        private RecipeBook $book,
        private Standing $standing,
        private BatchRepository $batches,
        private SchoolClock $clock,
    ) {
    }

    public function of(Batch $batch, User $reader): BatchView
    {
        $recipe = $batch->recipe();
        $flora = $this->library->flora($reader->flora);
        $way = $batch->way();
        $drawn = RecipePage::of($recipe, $flora, $batch->ways, $batch->grams, $batch->weighed(), $way);

        return new BatchView(
            $batch->id,
            $batch->name,
            $batch->recipe,
            $recipe->name,
            $batch->recipeHash,
            $this->book->find($batch->recipe)?->hash !== $batch->recipeHash,
            $batch->state,
            CalendarDay::iso($batch->begunOn),
            $batch->by->name,
            $batch->note,
            $recipe->per,
            $batch->grams,
            array_values(
                array_map(
                    fn (BatchSource $s): SourceView => $this->source($s->harvest, round($s->percent, 1), $reader),
                    $batch->sources->toArray(),
                ),
            ),
            array_map(
                static fn (RecipeStepView $step, int $place): BatchStepView => self::step(
                    $batch->step($place),
                    $step,
                    $place,
                    $batch->isOwnStep($place),
                    ($way[$place] ?? null)?->mayBeLeftOut() ?? false,
                ),
                $drawn->steps,
                array_keys($drawn->steps),
            ),
            $drawn->keeping,
            $recipe->cautions,
            $recipe->allergens,
            array_values(array_map(self::unit(...), $batch->units->toArray())),
            $this->standing->ofBatch($batch),
            $reader->role->mayExamine() && BatchState::Running === $batch->state,
            $reader->role->mayDecide(),
            $batch->isThrough(),
            CalendarDay::iso($recipe->keepsUntil($this->clock->today())),
            self::kin($batch->splitFrom, $batch->splitShare),
            self::kin($batch->joinedInto),
            array_values(
                array_filter(array_map(static fn (Batch $b) => self::kin($b, $b->splitShare), $batch->parts->toArray())),
            ),
            array_values(array_filter(array_map(static fn (Batch $b) => self::kin($b), $batch->poured->toArray()))),
        );
    }

    /** @return list<BatchSummaryView> of what is being made: what is to be looked after soonest goes first */
    public function running(): array
    {
        $running = array_map($this->summary(...), $this->batches->running());
        usort(
            $running,
            static fn (BatchSummaryView $a, BatchSummaryView $b): int => ($a->dueAt ?? '9') <=> ($b->dueAt ?? '9'),
        );

        return $running;
    }

    public function summary(Batch $batch): BatchSummaryView
    {
        $recipe = $batch->recipe();
        $next = $due = null;
        foreach ($batch->way() as $place => $step) {
            $done = $batch->step($place);
            if (null === $done?->doneAt) {
                $next = $step->name;
                $due = $done?->dueAt;
                break;
            }
        }
        $running = BatchState::Running === $batch->state;

        return new BatchSummaryView(
            $batch->id,
            $batch->name,
            $recipe->name,
            $batch->state,
            CalendarDay::iso($batch->begunOn),
            $batch->by->name,
            $running ? (string) $next : '',
            $running ? self::moment($due) : null,
            $running && null !== $due && $due <= $this->clock->now(),
            $batch->units->count(),
            $batch->units->filter(static fn (BatchUnit $u): bool => null !== $u->recalledAt)->count(),
            $batch->note,
            $this->standing->ofBatch($batch),
        );
    }

    /** @param float $share of it, percent */
    public function source(HarvestRecord $harvest, float $share, User $reader): SourceView
    {
        $decision = $harvest->decision;
        $examination = $decision->examination;
        $taxon = $this->library->flora($examination->flora)->taxa[$decision->taxon] ?? null;

        return new SourceView(
            $harvest->id,
            $share,
            Amount::of($harvest->taken->amount, $harvest->taken->unit)
                ->in($harvest->taken->unit->counterpart('imperial' === $reader->units))
                ->words(),
            CalendarDay::iso($harvest->takenOn),
            $harvest->takenBy->name,
            $decision->taxon,
            $taxon?->commonName() ?? $decision->taxon,
            $taxon->name ?? $decision->taxon,
            $decision->part,
            isset($taxon->parts[$decision->part]) ? $taxon->parts[$decision->part]->label : $decision->part,
            $examination->specimen->id,
            $examination->specimen->tag,
            $examination->specimen->site->name,
            $decision->id,
            CalendarDay::iso($decision->decidedOn),
            $examination->id,
            $examination->examiner->name,
            $this->standing->of($harvest),
        );
    }

    public static function unit(BatchUnit $unit): UnitView
    {
        return new UnitView(
            $unit->id,
            $unit->number,
            $unit->contents,
            CalendarDay::iso($unit->madeOn),
            CalendarDay::iso($unit->bestBefore),
            $unit->givenTo,
            $unit->by->name,
            self::moment($unit->recalledAt),
            $unit->recall->because ?? '',
        );
    }

    private static function step(
        ?BatchStep $done,
        RecipeStepView $step,
        int $place,
        bool $own,
        bool $mayBeLeftOut,
    ): BatchStepView {
        return new BatchStepView(
            $place,
            $step,
            self::moment($done?->startedAt),
            self::moment($done?->dueAt),
            self::moment($done?->doneAt),
            $done?->gramsIn,
            $done?->gramsOut,
            $done->note ?? '',
            $done->by->name ?? '',
            $own,
            $mayBeLeftOut,
            $done->leftOut ?? false,
            null === $done
                ? []
                : array_values(
                    array_map(
                        static fn (BatchCheck $c): CheckView => new CheckView(
                            $c->answer,
                            $c->note,
                            $c->at->format(\DateTimeInterface::RFC3339),
                            $c->by->name,
                        ),
                        $done->checks->toArray(),
                    ),
                ),
        );
    }

    /** What it was taken out of, put to, or parted into. */
    private static function kin(?Batch $batch, ?float $percent = null): ?BatchKinView
    {
        return null === $batch
            ? null
            : new BatchKinView($batch->id, $batch->name, null === $percent ? null : round($percent, 1));
    }

    private static function moment(?\DateTimeImmutable $at): ?string
    {
        return $at?->format(\DateTimeInterface::RFC3339);
    }
}

<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\User;
use App\Batches\Batch;
use App\Batches\BatchCheck;
use App\Batches\BatchSource;
use App\Batches\BatchState;
use App\Batches\BatchStep;
use App\Batches\BatchUnit;
use App\Batches\Input\SplitOff;
use App\Batches\Pots;
use App\Batches\Recall;
use App\Batches\RecallOf;
use App\Batches\Standing;
use App\Examine\Decisions;
use App\Examine\ExaminationRecord;
use App\Examine\StoredExaminations;
use App\Harvest\CountBy;
use App\Harvest\HarvestRecord;
use App\Harvest\OwnMeasure;
use App\Harvest\Taken;
use App\Library\RecipeBook;
use App\Species\WoodNote;
use App\Species\WoodWork;
use App\Trees\Sex;
use App\Trees\Specimen;
use App\Trials\Damp;
use App\Trials\Trial;
use App\Trials\TrialOf;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Processing\Ease;
use Hylognosis\Recipe\CheckAnswer;
use Hylognosis\Recipe\Weighed;
use Hylognosis\Wording\English;
use Symfony\Component\Uid\Uuid;

/** What the invented school took, made, tried and called back. */
final class DemoMaking
{
    /** @var array<string, Batch> by name */
    private array $batches = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly StoredExaminations $stored,
        private readonly Decisions $decisions,
        private readonly RecipeBook $book,
        private readonly Standing $standing,
        private readonly Pots $pots,
    ) {
    }

    /**
     * @param array<string, User>     $people
     * @param array<string, Specimen> $trees
     */
    public function add(Node $school, array $people, array $trees): void
    {
        foreach ($school->children('trials') as $i => $node) {
            $on = CalendarDay::parse($node->text('on'));
            $this->entities->persist(
                new Trial(
                    Uuid::v7()->toRfc4122(),
                    $node->word('what', TrialOf::class),
                    $node->text('of'),
                    null,
                    $node->text('way'),
                    $node->word('damp', Damp::class),
                    $node->flag('worked', false),
                    $node->has('seconds') ? $node->integer('seconds', 1, 100_000) : null,
                    $node->optionalText('note'),
                    $on,
                    $on->modify(\sprintf('15:%02d', $i % 60)),
                    $people[$node->text('by')],
                ),
            );
        }
        foreach ($school->children('measures') as $node) {
            $this->entities->persist(
                new OwnMeasure(
                    $node->text('name'),
                    $node->number('amount', 0, 1000),
                    $node->word('unit', AmountUnit::class),
                    CalendarDay::parse($node->text('on'))->modify('17:00'),
                    $people[$node->text('by')],
                ),
            );
        }
        foreach ($school->children('woods') as $node) {
            $this->entities->persist(
                new WoodNote(
                    Uuid::v7()->toRfc4122(),
                    $node->text('taxon'),
                    $node->word('work', WoodWork::class),
                    $node->has('ease') ? $node->word('ease', Ease::class) : null,
                    $node->has('density') ? $node->number('density', 80, 1400) : null,
                    $node->optionalText('note'),
                    CalendarDay::parse($node->text('on'))->modify('16:00'),
                    $people[$node->text('by')],
                ),
            );
        }
        foreach ($school->children('batches') as $node) {
            $batch = $this->batch($node, $people, $trees);
            $this->batches[$batch->name] = $batch;
            $this->entities->persist($batch);
            $this->entities->flush();
        }
        foreach ($school->children('recalls') as $node) {
            $this->recall($node, $people[$node->text('by')], $trees);
        }
        $this->standing->reset();
    }

    /** The gate of that day is asked, as it is when somebody takes something. */
    public function take(ExaminationRecord $record, Node $node, User $by, \DateTimeImmutable $day): void
    {
        $assessment = $this->stored->assess($record);
        if (true !== $assessment->clearance?->isCleared()) {
            throw new \LogicException(
                \sprintf(
                    'demo/school.yaml: %s was not cleared on %s: %s',
                    $node->path,
                    CalendarDay::iso($day),
                    null === $assessment->clearance
                        ? ''
                        : (new English($assessment->identification->compiled->flora))->sentence(
                            $assessment->clearance->because,
                        ),
                ),
            );
        }
        $harvest = new HarvestRecord(
            $this->decisions->record($record, $record->examiner, $assessment),
            $by,
            $day,
            new Taken(
                $node->number('amount', 0, 1000),
                $node->word('unit', AmountUnit::class),
                $node->optionalText('ripeness'),
                $node->integer('share_left', 0, 100),
                $node->optionalText('note'),
                $node->has('minutes') ? $node->integer('minutes', 1, 1000) : null,
                $node->has('opened') ? $node->integer('opened', 0, 1000) : 0,
                $node->has('sound') ? $node->integer('sound', 0, 1000) : 0,
                $node->has('count_by') ? $node->word('count_by', CountBy::class) : CountBy::Nobody,
                $node->has('sex') ? $node->word('sex', Sex::class) : Sex::Unknown,
                $node->has('lone') ? $node->flag('lone', false) : null,
            ),
            $day->modify('15:00'),
        );
        $this->entities->persist($harvest);
    }

    /**
     * Told whole, step by step; or told short, by how many steps it is through: then each took its least time, and came
     * out in the middle of what the recipe says.
     *
     * @param array<string, User>     $people
     * @param array<string, Specimen> $trees
     */
    private function batch(Node $node, array $people, array $trees): Batch
    {
        $by = $people[$node->text('by')];
        $begun = CalendarDay::parse($node->text('on'));
        if ($node->has('split_from')) {
            $pot = $this->batches[$node->text('split_from')];
            $weights = $node->children('weights');
            $batch = $this->pots->split(
                $pot,
                new SplitOff(
                    Uuid::v7()->toRfc4122(),
                    $node->text('name'),
                    $weights[0]->asNumber(1, 1e6),
                    $weights[1]->asNumber(1, 1e6),
                ),
                $by,
                $this->entities,
            );
        } else {
            $id = $node->text('recipe');
            $recipe = $this->book->find($id) ?? throw DocumentError::at($node->path, 'there is no such recipe.');
            $batch = new Batch(
                Uuid::v7()->toRfc4122(),
                $node->text('name'),
                $id,
                $recipe->hash,
                $this->book->document()[$id],
                $node->texts('ways'),
                $node->number('grams', 1, 1e7),
                $begun,
                $begun->modify('14:00'),
                $by,
            );
            foreach ($node->children('of') as $source) {
                $told = $source->items(); // tree, day, percent
                $batch->sources->add(
                    new BatchSource(
                        $batch,
                        $this->harvest($trees[$told[0]->asText()], $told[1]->asText(), $source),
                        $told[2]->asNumber(0.1, 100),
                    ),
                );
            }
            foreach ($node->entries('own_step') as $name => $do) {
                $batch->putIn($name, $do->asText(), 'it is done', '');
            }
        }
        foreach ($node->children('steps') as $place => $told) {
            $step = new BatchStep($batch, $place, $by);
            $step->startedAt = CalendarDay::parse($told->text('from'))->modify('15:00');
            $step->doneAt = $told->has('to') ? CalendarDay::parse($told->text('to'))->modify('17:00') : null;
            $step->dueAt = $told->has('due') ? CalendarDay::parse($told->text('due'))->modify('07:00') : null;
            $step->gramsIn = $told->has('in') ? $told->number('in', 0, 1e6) : null;
            $step->gramsOut = $told->has('out') ? $told->number('out', 0, 1e6) : null;
            $step->note = $told->optionalText('note');
            $batch->steps->add($step);
        }
        if ($node->has('through')) {
            $this->through($batch, $node, $by);
        }
        $this->jars($batch, $node, $by);
        if ($node->has('state')) {
            $batch->state = $node->word('state', BatchState::class);
            $batch->note = $node->optionalText('note');
            $last = $batch->steps->last();
            $batch->endedAt = false === $last ? $begun->modify('+1 day') : $last->doneAt ?? $last->startedAt;
        }
        if ($node->has('joined_to')) {
            $pot = $this->batches[$node->text('joined_to')];
            $this->pots->join($pot, $batch, $begun->modify('+1 day'));
        }

        return $batch;
    }

    private function through(Batch $batch, Node $node, User $by): void
    {
        $at = $batch->begunAt;
        $weighed = Weighed::through($batch->way(), $batch->grams);
        foreach ($batch->way() as $place => $step) {
            if ($place > $node->integer('through', 0, 60)) {
                return;
            }
            $done = $batch->step($place) ?? new BatchStep($batch, $place, $by);
            $batch->steps->add($done);
            $done->startedAt = $at;
            if ($place === $node->integer('through', 0, 60)) {
                $done->dueAt = $node->has('due') ? CalendarDay::parse($node->text('due'))->modify('07:00') : null;
                foreach ($node->entries('tasted') as $day => $found) {
                    $done->checks->add(
                        new BatchCheck(
                            $done,
                            CheckAnswer::NotYet,
                            $found->asText(),
                            CalendarDay::parse($day)->modify('18:00'),
                            $by,
                        ),
                    );
                }

                return;
            }
            $seconds = max(600, $step->waits?->leastSeconds() ?? ($step->takes?->leastSeconds() ?? 0));
            $at = $at->add(new \DateInterval('PT'.$seconds.'S'));
            $done->doneAt = $at;
            if (null !== $step->left) {
                $done->gramsIn = round(array_sum($weighed[$place]->in) / 2, -1);
                $done->gramsOut = round(array_sum($weighed[$place]->out) / 2, -1);
            }
        }
    }

    private function jars(Batch $batch, Node $node, User $by): void
    {
        $jars = $node->has('jars') ? $node->child('jars') : null;
        for ($i = 1; null !== $jars && $i <= $jars->integer('count', 1, 50); ++$i) {
            $made = CalendarDay::parse($jars->text('on'));
            $unit = new BatchUnit(
                $batch,
                $i,
                $jars->text('contents'),
                $made,
                CalendarDay::parse($jars->text('best_before')),
                $made->modify('18:00'),
                $by,
            );
            $unit->givenTo = $jars->texts('given_to')[$i - 1] ?? '';
            $batch->units->add($unit);
        }
    }

    private function harvest(Specimen $tree, string $day, Node $node): HarvestRecord
    {
        $found = $this->entities
            ->createQuery(
                'SELECT h FROM '.
                    HarvestRecord::class.
                    ' h JOIN h.decision d JOIN d.examination e '.
                    'WHERE e.specimen = :tree AND h.takenOn = :day',
            )
            // what was taken under a tag that was given up went with the tree
            ->setParameters(['tree' => $tree->mergedInto ?? $tree->id, 'day' => $day])
            ->setMaxResults(1)
            ->getOneOrNullResult();

        return $found instanceof HarvestRecord
            ? $found
            : throw DocumentError::at($node->path, 'nothing was taken of '.$tree->tag.' that day.');
    }

    /** @param array<string, Specimen> $trees */
    private function recall(Node $node, User $by, array $trees): void
    {
        $what = $node->word('what', RecallOf::class);
        $about =
            RecallOf::Batch === $what ? $this->batches[$node->text('about')]->id : $trees[$node->text('about')]->id;
        $recall = new Recall(
            $what,
            $about,
            $node->text('because'),
            CalendarDay::parse($node->text('on'))->modify('10:00'),
            $by,
        );
        $this->entities->persist($recall);
        foreach ($this->batches as $batch) {
            foreach ($this->standing->touchesBatch($what, $about, $batch) ? $batch->units : [] as $unit) {
                [$unit->recalledAt, $unit->recall] = [$recall->at, $recall];
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use App\Batches\Input\EndBatch;
use App\Batches\Input\GivenTo;
use App\Batches\Input\JoinTo;
use App\Batches\Input\NewBatch;
use App\Batches\Input\NewCheck;
use App\Batches\Input\NewStep;
use App\Batches\Input\NewUnits;
use App\Batches\Input\SplitOff;
use App\Batches\Input\StepDone;
use App\Batches\View\BatchSummaryView;
use App\Batches\View\BatchView;
use App\Batches\View\SourceView;
use App\Clock\SchoolClock;
use App\Harvest\HarvestRecord;
use App\Harvest\HarvestRepository;
use App\Library\RecipeBook;
use App\Storage\Transaction;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Recipe\LabelRefusal;
use Hylognosis\Recipe\Step;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What is made of what was taken. */
#[OA\Tag('batches')]
#[OA\Response(
    response: 404,
    description: 'No such thing.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
#[OA\Response(
    response: 409,
    description: 'It does not stand so that this can be done; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class BatchController extends ApiController
{
    private const MOST_HARVESTS = 100;

    public function __construct(
        private readonly BatchRepository $batches,
        private readonly BatchUnitRepository $units,
        private readonly HarvestRepository $harvests,
        private readonly RecipeBook $book,
        private readonly Standing $standing,
        private readonly BatchPage $page,
        private readonly Pots $pots,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/batches', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'What is made, and was.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: BatchSummaryView::class)),
        ),
    ),]
    public function all(#[MapQueryParameter(validationFailedStatusCode: 422)] string $taxon = ''): JsonResponse
    {
        $batches = '' === $taxon ? $this->batches->listed() : $this->batches->ofTaxon($taxon);

        return $this->json(array_map($this->page->summary(...), $batches));
    }

    /** Harvests of which something is left to be made into anything. */
    #[Route('/api/batches/harvests', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The harvests, each with the share that is left.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: SourceView::class))),
    ),]
    public function free(#[CurrentUser] User $user): JsonResponse
    {
        $free = [];
        foreach ($this->harvests->newest(self::MOST_HARVESTS) as $harvest) {
            $left = round(100 - $this->batches->used($harvest), 1);
            if ($left > 0.0) {
                $free[] = $this->page->source($harvest, $left, $user);
            }
        }

        return $this->json($free);
    }

    #[Route('/api/batches', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'What is made.', content: new Model(type: BatchView::class))]
    public function begin(#[CurrentUser] User $user, #[MapRequestPayload] NewBatch $input): JsonResponse
    {
        $batch = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): Batch {
            $known = $this->batches->find($input->id);
            if (null !== $known) {
                return $known->by === $user && $known->recipe === $input->recipe
                    ? $known // sent twice
                    : throw Refused::conflict('That id is of something else.');
            }
            $recipe = $this->book->find($input->recipe) ?? throw Refused::field('recipe', 'There is no such recipe.');
            $batch = new Batch(
                $input->id,
                trim($input->name),
                $recipe->id,
                $recipe->hash,
                $this->book->document()[$recipe->id],
                $input->ways,
                $input->grams,
                $this->clock->today(),
                $this->clock->now(),
                $user,
            );
            foreach ($input->sources as $id => $share) {
                $batch->sources->add(
                    new BatchSource($batch, $this->harvest((string) $id, $share, $recipe->of), $share),
                );
            }
            $entities->persist($batch);

            return $batch;
        });

        return $this->json($this->page->of($batch, $user));
    }

    #[Route('/api/batches/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What is made.', content: new Model(type: BatchView::class))]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->page->of($this->batch($id), $user));
    }

    /** The timer of a step begins where it is started; it is kept, whatever becomes of the machine. */
    #[Route(
        '/api/batches/{id}/steps/{place}',
        requirements: ['id' => Requirement::UUID, 'place' => '\d{1,3}'],
        methods: ['PUT'],
    ),]
    #[OA\Response(response: 200, description: 'What is made.', content: new Model(type: BatchView::class))]
    public function step(
        #[CurrentUser] User $user,
        string $id,
        int $place,
        #[MapRequestPayload] StepDone $input,
    ): JsonResponse {
        return $this->work($user, $id, function (Batch $batch) use ($user, $place, $input): void {
            $step = $batch->way()[$place] ?? throw Refused::missing('There is no such step.');
            if (
                null !== $input->gramsIn
                && null !== $input->gramsOut
                && $input->gramsOut > 2 * $input->gramsIn + 1
                && [] === $step->with
            ) {
                throw Refused::field('gramsOut', 'Nothing comes into this step, and twice as much comes out.');
            }
            if ($input->leftOut && !$step->mayBeLeftOut()) {
                throw Refused::conflict('That step makes it fit to be kept: it is not left out.');
            }
            $done = $this->written($batch, $place, $user);
            $last = $done->checks->last();
            if ($input->done && false !== $last && !$last->answer->letsItEnd()) {
                throw Refused::conflict('Whoever looked last did not find it done. Look again, and say so.');
            }
            $now = $this->clock->now();
            $done->by = $user;
            if ($input->started || $input->done) {
                $done->startedAt ??= $now;
            }
            $done->dueAt = $input->done ? null : self::due($input, $step, $now) ?? $done->dueAt;
            $done->doneAt = $input->done ? $done->doneAt ?? $now : null;
            $done->gramsIn = $input->gramsIn ?? $done->gramsIn;
            $done->gramsOut = $input->gramsOut ?? $done->gramsOut;
            $done->note = '' === $input->note ? $done->note : trim($input->note);
            $done->leftOut = $input->leftOut;
        });
    }

    /** Somebody tasted, felt or looked. */
    #[Route(
        '/api/batches/{id}/steps/{place}/checks',
        requirements: ['id' => Requirement::UUID, 'place' => '\d{1,3}'],
        methods: ['POST'],
    ),]
    #[OA\Response(response: 200, description: 'What is made.', content: new Model(type: BatchView::class))]
    public function check(
        #[CurrentUser] User $user,
        string $id,
        int $place,
        #[MapRequestPayload] NewCheck $input,
    ): JsonResponse {
        return $this->work($user, $id, function (Batch $batch) use ($user, $place, $input): void {
            isset($batch->way()[$place]) || throw Refused::missing('There is no such step.');
            $step = $this->written($batch, $place, $user);
            if (null !== $step->doneAt) {
                throw Refused::conflict('That step is done; what was found stays.');
            }
            $step->startedAt ??= $this->clock->now();
            $step->checks->add(new BatchCheck($step, $input->answer, trim($input->note), $this->clock->now(), $user));
        });
    }

    /** Something is done that the recipe does not have; it comes before the first step nobody has begun. */
    #[Route('/api/batches/{id}/steps', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'What is made.', content: new Model(type: BatchView::class))]
    public function putIn(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewStep $input): JsonResponse
    {
        return $this->work(
            $user,
            $id,
            static fn (Batch $batch) => $batch->putIn(
                trim($input->name),
                trim($input->do),
                trim($input->until),
                null === $input->waitsHours
                    ? ''
                    : \sprintf('%s h', rtrim(rtrim(\sprintf('%.2F', $input->waitsHours), '0'), '.')),
            ),
        );
    }

    /** A part goes on by itself: what was done so far was done to both. */
    #[Route('/api/batches/{id}/split', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'The part that was taken out.',
        content: new Model(type: BatchView::class),
    ),]
    public function split(#[CurrentUser] User $user, string $id, #[MapRequestPayload] SplitOff $input): JsonResponse
    {
        $part = $this->transaction->run(
            fn (EntityManagerInterface $entities): Batch => $this->batches->find($input->id) ??
                $this->pots->split($this->running($id), $input, $user, $entities),
        );

        return $this->json($this->page->of($part, $user));
    }

    /** Two of the same recipe that stand at the same step become one. */
    #[Route('/api/batches/{id}/join', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Both together.', content: new Model(type: BatchView::class))]
    public function join(#[CurrentUser] User $user, string $id, #[MapRequestPayload] JoinTo $input): JsonResponse
    {
        return $this->work(
            $user,
            $id,
            fn (Batch $batch) => $this->pots->join($batch, $this->running($input->other), $this->clock->now()),
        );
    }

    #[Route('/api/batches/{id}/units', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'What is made.', content: new Model(type: BatchView::class))]
    public function label(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewUnits $input): JsonResponse
    {
        return $this->work($user, $id, function (Batch $batch) use ($user, $input): void {
            $bestBefore = CalendarDay::parse($input->bestBefore);
            $recipe = $batch->recipe();
            $today = $this->clock->today();
            $refusal = LabelRefusal::of(
                $recipe,
                null !== $this->standing->ofBatch($batch),
                $batch->isThrough(),
                $today,
                $bestBefore,
            );
            match ($refusal) {
                null => null,
                LabelRefusal::Doubted => throw Refused::conflict(
                    'What it is made of is doubted, or was called back: nothing of it is labelled.',
                ),
                LabelRefusal::StepsOpen => throw Refused::conflict(
                    'Not all its steps are done: nothing of it is labelled before.',
                ),
                LabelRefusal::DayIsOver => throw Refused::field('bestBefore', 'That day is over.'),
                LabelRefusal::KeepsNotSoLong => throw Refused::field(
                    'bestBefore',
                    'By the recipe it keeps until '.$recipe->keepsUntil($today)->format('j F Y').' at the longest.',
                ),
            };
            $last = $batch->units->last();
            $number = false === $last ? 0 : $last->number;
            for ($i = 0; $i < $input->count; ++$i) {
                $batch->units->add(
                    new BatchUnit(
                        $batch,
                        ++$number,
                        trim($input->contents),
                        $this->clock->today(),
                        $bestBefore,
                        $this->clock->now(),
                        $user,
                    ),
                );
            }
        });
    }

    #[Route('/api/batches/{id}/end', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'What was made.', content: new Model(type: BatchView::class))]
    public function end(#[CurrentUser] User $user, string $id, #[MapRequestPayload] EndBatch $input): JsonResponse
    {
        return $this->work($user, $id, function (Batch $batch) use ($input): void {
            if ($input->givenUp && !$batch->units->isEmpty()) {
                throw Refused::conflict('There are jars of it: it did not come to nothing.');
            }
            $batch->state = $input->givenUp ? BatchState::GivenUp : BatchState::Done;
            $batch->note = trim($input->note);
            $batch->endedAt = $this->clock->now();
        });
    }

    /** What a code on a jar leads to: the batch, and through it the trees, the decisions, the people. */
    #[Route('/api/units/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What it is of.', content: new Model(type: BatchView::class))]
    public function trace(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->page->of($this->unit($id)->batch, $user));
    }

    #[Route('/api/units/{id}/given-to', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'What it is of.', content: new Model(type: BatchView::class))]
    public function give(#[CurrentUser] User $user, string $id, #[MapRequestPayload] GivenTo $input): JsonResponse
    {
        $unit = $this->transaction->run(function () use ($id, $input): BatchUnit {
            $unit = $this->unit($id);
            if (null !== $unit->recalledAt && '' !== $input->givenTo) {
                throw Refused::conflict('It was called back: it is given to nobody.');
            }
            $unit->givenTo = trim($input->givenTo);

            return $unit;
        });

        return $this->json($this->page->of($unit->batch, $user));
    }

    /** Everything a tree ever went into. */
    #[Route('/api/specimens/{id}/batches', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'What was made of it.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: BatchSummaryView::class)),
        ),
    ),]
    public function ofTree(string $id, SpecimenRepository $specimens): JsonResponse
    {
        $tree = $specimens->find($id) ?? throw Refused::missing('There is no such tree.');

        return $this->json(array_map($this->page->summary(...), $this->batches->ofTree($tree)));
    }

    /** @param \Closure(Batch): void $change */
    private function work(User $user, string $id, \Closure $change): JsonResponse
    {
        $batch = $this->transaction->run(function () use ($id, $change): Batch {
            $change($batch = $this->running($id));

            return $batch;
        });

        return $this->json($this->page->of($batch, $user));
    }

    private function running(string $id): Batch
    {
        $batch = $this->batch($id);

        return BatchState::Running === $batch->state
            ? $batch
            : throw Refused::conflict('It is finished; what stands there stays.');
    }

    private function written(Batch $batch, int $place, User $user): BatchStep
    {
        $step = $batch->step($place);
        if (null === $step) {
            $batch->steps->add($step = new BatchStep($batch, $place, $user));
        }

        return $step;
    }

    /** @param non-empty-list<string> $of parts the recipe takes */
    private function harvest(string $id, int $share, array $of): HarvestRecord
    {
        $harvest = $this->harvests->find($id) ?? throw Refused::field('sources', 'There is no such harvest.');
        $decision = $harvest->decision;
        if (!\in_array($decision->taxon.'/'.$decision->part, $of, true)) {
            throw Refused::field('sources', 'That recipe is not made of it.');
        }
        if (null !== $this->standing->of($harvest)) {
            throw Refused::conflict('What it was cleared by is doubted, or was called back: nothing is made of it.');
        }
        $left = 100 - $this->batches->used($harvest);

        return $share <= $left + 0.01
            ? $harvest
            : throw Refused::field('sources', \sprintf('Of that harvest %.0f per cent are left.', $left));
    }

    private static function due(StepDone $input, Step $step, \DateTimeImmutable $now): ?\DateTimeImmutable
    {
        $seconds = match (true) {
            !$input->started => null,
            null !== $input->minutes => 60 * $input->minutes,
            // first of all somebody is to look after it, then it may be ready
            default => $step->again?->leastSeconds() ?? $step->waits?->leastSeconds(),
        };

        return null === $seconds ? null : $now->add(new \DateInterval('PT'.$seconds.'S'));
    }

    private function batch(string $id): Batch
    {
        return $this->batches->find($id) ?? throw Refused::missing('There is nothing of the kind.');
    }

    private function unit(string $id): BatchUnit
    {
        return $this->units->find($id) ?? throw Refused::missing('There is no such jar.');
    }
}

<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Account\UserRepository;
use App\Batches\Input\NewRecall;
use App\Batches\View\BatchSummaryView;
use App\Batches\View\RecalledUnitView;
use App\Batches\View\RecallView;
use App\Clock\SchoolClock;
use App\Examine\DecisionRecord;
use App\Storage\Transaction;
use App\Trees\SiteVoter;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Calling back all that came of something that is doubted. */
#[OA\Tag('batches')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class RecallController extends ApiController
{
    public function __construct(
        private readonly BatchRepository $batches,
        private readonly BatchUnitRepository $units,
        private readonly RecallRepository $recalls,
        private readonly Standing $standing,
        private readonly BatchPage $page,
        private readonly SpecimenRepository $specimens,
        private readonly UserRepository $people,
        private readonly EntityManagerInterface $entities,
        private readonly DeedRepository $deeds,
        private readonly Permission $permission,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/recalls', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'What was called back, the last first.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: RecallView::class))),
    ),]
    public function all(): JsonResponse
    {
        return $this->json(array_map($this->view(...), $this->recalls->all()));
    }

    /** Everything it touched, at once; nobody undoes it. */
    #[Route('/api/recalls', methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'What was called back, the last first.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: RecallView::class))),
    ),]
    public function recall(#[CurrentUser] User $user, #[MapRequestPayload] NewRecall $input): JsonResponse
    {
        $this->permission->need(SiteVoter::CARE);
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): void {
            $words = $this->words($input->what, $input->about);
            if (null === $words) {
                throw Refused::field('about', 'There is nothing of the kind.');
            }
            $recall = new Recall($input->what, $input->about, trim($input->because), $this->clock->now(), $user);
            $entities->persist($recall);
            foreach ($this->touched($recall) as $batch) {
                foreach ($batch->units as $unit) {
                    $unit->recalledAt ??= $recall->at;
                    $unit->recall ??= $recall;
                }
            }
            $this->deeds->note($user, DeedKind::Recalled, $words, trim($input->because));
        });
        $this->standing->reset();

        return $this->json(array_map($this->view(...), $this->recalls->all()));
    }

    /** @return list<Batch> */
    private function touched(Recall $recall): array
    {
        return array_values(
            array_filter(
                $this->batches->findAll(),
                fn (Batch $batch): bool => $this->standing->touchesBatch($recall->what, $recall->about, $batch),
            ),
        );
    }

    private function view(Recall $recall): RecallView
    {
        return new RecallView(
            $recall->id,
            $recall->what,
            $this->words($recall->what, $recall->about) ?? $recall->about,
            $recall->because,
            $recall->at->format(\DateTimeInterface::RFC3339),
            $recall->by->name,
            array_map(
                static fn (BatchUnit $u): RecalledUnitView => new RecalledUnitView(
                    $u->id,
                    $u->batch->id,
                    $u->batch->name,
                    $u->number,
                    $u->contents,
                    $u->givenTo,
                ),
                $this->units->recalled($recall),
            ),
            array_map(fn (Batch $b): BatchSummaryView => $this->page->summary($b), $this->touched($recall)),
        );
    }

    /** What it is about, in words; null where there is nothing of the kind. */
    private function words(RecallOf $what, string $about): ?string
    {
        return match ($what) {
            RecallOf::Tree => $this->specimens->find($about)?->tag,
            RecallOf::Decision => $this->decision($about),
            RecallOf::Examiner => $this->people->find($about)?->name,
            RecallOf::FloraLine => 1 === preg_match('#^[a-z0-9-]{1,80}/[a-z0-9-]{1,40}$#D', $about) ? $about : null,
            RecallOf::Batch => $this->batches->find($about)?->name,
        };
    }

    private function decision(string $id): ?string
    {
        $decision = $this->entities->find(DecisionRecord::class, $id);

        return null === $decision
            ? null
            : $decision->examination->specimen->tag.', '.$decision->decidedOn->format('Y-m-d');
    }
}

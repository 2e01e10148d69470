<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Harvest\Input\NewMeasure;
use App\Harvest\View\MeasureView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Baskets and buckets that were weighed once. */
#[OA\Tag('harvest')]
#[OA\Response(
    response: 200,
    description: 'Those in use, by name.',
    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: MeasureView::class))),
),]
final class MeasureController extends ApiController
{
    public function __construct(
        private readonly OwnMeasureRepository $measures,
        private readonly Transaction $transaction,
        private readonly SchoolClock $clock,
    ) {
    }

    #[Route('/api/measures', methods: ['GET'])]
    public function all(): JsonResponse
    {
        return $this->json(array_map(MeasureView::of(...), $this->measures->inUse()));
    }

    /** One of the same name takes the place of the one before. */
    #[Route('/api/measures', methods: ['POST'])]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function add(#[CurrentUser] User $user, #[MapRequestPayload] NewMeasure $input): JsonResponse
    {
        if (!$user->role->mayExamine()) {
            throw Refused::forbidden('Guests look on.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): void {
            foreach ($this->measures->findBy(['forgottenAt' => null, 'name' => trim($input->name)]) as $before) {
                $before->forgottenAt = $this->clock->now();
            }
            $entities->persist(
                new OwnMeasure(trim($input->name), $input->amount, $input->unit, $this->clock->now(), $user),
            );
        });

        return $this->all();
    }

    #[Route('/api/measures/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(
        response: 404,
        description: 'No such measure.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function forget(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $this->transaction->run(function () use ($user, $id): void {
            $measure = $this->measures->find($id) ?? throw Refused::missing('There is no such measure.');
            if ($measure->by !== $user && !$user->role->mayDecide()) {
                throw Refused::forbidden('Whoever weighed it forgets it, or an instructor.');
            }
            $measure->forgottenAt ??= $this->clock->now();
        });

        return $this->all();
    }
}

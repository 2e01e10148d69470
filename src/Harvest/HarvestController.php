<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationPage;
use App\Examine\View\ExaminationView;
use App\Harvest\Input\Correction;
use App\Harvest\Input\ManyTaken;
use App\Harvest\View\HarvestsView;
use App\Harvest\View\HarvestView;
use App\Harvest\View\OpenGateView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('harvest')]
final class HarvestController extends ApiController
{
    /** Logs what was taken, under the decision of this moment: the gate is asked anew. */
    #[Route('/api/examinations/{id}/harvests', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'The examination with what was taken.',
        content: new Model(type: ExaminationView::class),
    ),]
    #[OA\Response(
        response: 409,
        description: 'The gate is not open; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'Something in it cannot be taken; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function take(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] Taken $input,
        Taking $taking,
        ExaminationPage $page,
        Transaction $transaction,
    ): JsonResponse {
        return $this->json($page->of($transaction->run(static fn () => $taking->take($id, $user, $input)), $user));
    }

    /** Under which trees one may take something now, each asked for anew. */
    #[Route('/api/harvests/open', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Open gates.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: OpenGateView::class))),
    ),]
    public function open(#[CurrentUser] User $user, OpenGates $gates): JsonResponse
    {
        return $this->json($gates->for($user));
    }

    /** From several trees in one go: each under its own decision, all of them or none. */
    #[Route('/api/harvests', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'What was taken.', content: new Model(type: HarvestsView::class))]
    #[OA\Response(
        response: 409,
        description: 'One of the gates is not open; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'Something in it cannot be taken; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function takeOfSeveral(
        #[CurrentUser] User $user,
        #[MapRequestPayload] ManyTaken $input,
        Taking $taking,
        HarvestLog $log,
        Transaction $transaction,
    ): JsonResponse {
        $transaction->run(static function () use ($user, $input, $taking): void {
            foreach ($input->each() as $examination => $taken) {
                $taking->take($examination, $user, $taken);
            }
        });

        return $this->json($log->grouped(GroupBy::Kind));
    }

    #[Route('/api/harvests', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What was taken.', content: new Model(type: HarvestsView::class))]
    public function log(
        HarvestLog $log,
        #[MapQueryParameter(validationFailedStatusCode: 422)] GroupBy $by = GroupBy::Kind,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $taxon = '',
    ): JsonResponse {
        return $this->json($log->grouped($by, $taxon));
    }

    /** What stood there stays on record, with who changed it and why. */
    #[Route('/api/harvests/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'What was taken.', content: new Model(type: HarvestView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such harvest.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'Something in it cannot be; nothing was changed.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function correct(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] Correction $input,
        HarvestRepository $harvests,
        HarvestLog $log,
        Taking $taking,
        Transaction $transaction,
        SchoolClock $clock,
    ): JsonResponse {
        $change = static function () use ($user, $id, $input, $harvests, $taking, $clock): HarvestRecord {
            $harvest = $harvests->find($id) ?? throw Refused::missing('There is no such harvest.');
            if ($harvest->takenBy !== $user && !$user->role->mayDecide()) {
                throw Refused::forbidden('Whoever took it corrects it, or an instructor.');
            }
            $taking->needMeant($input->taken, $harvest->decision->taxon, $harvest->decision->part, $user);
            $harvest->correct($input->taken, trim($input->because), $user, $clock->now());

            return $harvest;
        };
        $harvest = $transaction->run($change);

        return $this->json($log->view($harvest));
    }
}

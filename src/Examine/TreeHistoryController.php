<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Examine\View\ExaminationSummaryView;
use App\Examine\View\TreeKnownView;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('trees')]
final class TreeHistoryController extends ApiController
{
    #[Route('/api/specimens/{id}/examinations', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Examinations of this tree.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: ExaminationSummaryView::class)),
        ),
    )]
    public function examinations(
        #[CurrentUser] User $user,
        string $id,
        SpecimenRepository $specimens,
        ExaminationRepository $examinations,
        Summaries $summaries,
    ): JsonResponse {
        $specimen = $specimens->find($id) ?? throw Refused::missing('There is no such tree.');
        if ($examinations->isLookingBlind($user, $specimen)) {
            return $this->json([]);
        }

        return $this->json($summaries->of($examinations->ofSpecimen($specimen, $user), $user));
    }

    /** What was seen of this tree over the years, and what nobody has looked at yet. */
    #[Route('/api/specimens/{id}/known', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'By organ.', content: new Model(type: TreeKnownView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such tree.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function known(
        #[CurrentUser] User $user,
        string $id,
        SpecimenRepository $specimens,
        TreeKnown $known,
        #[MapQueryParameter(validationFailedStatusCode: 422)] bool $all = false,
    ): JsonResponse {
        $specimen = $specimens->find($id) ?? throw Refused::missing('There is no such tree.');

        return $this->json($known->of($specimen, $user, $all));
    }
}

<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Examine\View\DecisionPageView;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Decisions as they were taken, to be explained years later. */
#[OA\Tag('decisions')]
#[OA\Response(
    response: 404,
    description: 'No such decision.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class DecisionController extends ApiController
{
    /** Whoever reads it has seen the scores, as with the examination itself. */
    #[Route('/api/decisions/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The decision.', content: new Model(type: DecisionPageView::class))]
    public function show(
        #[CurrentUser] User $user,
        string $id,
        EntityManagerInterface $entities,
        ExaminationReading $reading,
        DecisionPage $page,
    ): JsonResponse {
        $decision = $entities->find(DecisionRecord::class, $id) ?? throw Refused::missing('There is no such decision.');
        $reading->read($user, $decision->examination->id);

        return $this->json($page->of($decision, $user));
    }
}

<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Examine\Covers;
use App\Season\View\PartnersView;
use App\Season\View\YearsView;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A tree over the years, and the trees it bears fruit with. */
#[OA\Tag('trees')]
#[OA\Response(
    response: 404,
    description: 'No such tree.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class TreeSeasonController extends ApiController
{
    public function __construct(private readonly SpecimenRepository $specimens)
    {
    }

    #[Route('/api/specimens/{id}/years', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Its years.', content: new Model(type: YearsView::class))]
    public function years(#[CurrentUser] User $user, string $id, TreeYears $years): JsonResponse
    {
        return $this->json($years->of($this->tree($id), $user));
    }

    #[Route('/api/specimens/{id}/partners', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Trees it bears with.', content: new Model(type: PartnersView::class))]
    public function partners(
        #[CurrentUser] User $user,
        string $id,
        PartnerTrees $partners,
        Covers $covers,
    ): JsonResponse {
        $tree = $this->tree($id);

        return $this->json(
            ($covers->hides($tree, $user) ? null : $partners->of($tree)) ??
                new PartnersView(null, null, 0.0, null !== $tree->latitude, false, []),
        );
    }

    private function tree(string $id): Specimen
    {
        return $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');
    }
}

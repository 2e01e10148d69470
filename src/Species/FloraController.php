<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use App\Library\FloraLibrary;
use App\Library\Glossary;
use App\Species\View\CharacterView;
use App\Species\View\FloraSummaryView;
use App\Species\View\FloraView;
use App\Species\View\TaxonSummaryView;
use App\Species\View\TaxonView;
use App\Species\View\TermView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\Units;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('flora')]
final class FloraController extends ApiController
{
    public function __construct(
        private readonly FloraLibrary $library,
        private readonly SpeciesPage $page,
        private readonly Glossary $glossary,
    ) {
    }

    #[Route('/api/floras', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The floras there are.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: FloraSummaryView::class)),
        ),
    ),]
    public function floras(): JsonResponse
    {
        return $this->json(
            array_map(
                fn (string $name): FloraSummaryView => FloraSummaryView::of(
                    $this->library->flora($name),
                    $this->library->problem($name),
                ),
                $this->library->names(),
            ),
        );
    }

    #[Route('/api/flora', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'A flora; without a name the one this person works with.',
        content: new Model(type: FloraView::class),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such flora.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function flora(
        #[CurrentUser] User $user,
        Request $request,
        #[MapQueryParameter] ?string $flora = null,
    ): JsonResponse {
        $flora = $this->named($flora ?? $user->flora);
        $response = $this->json(
            new FloraView(
                $flora->name,
                $flora->title,
                $flora->edition,
                $flora->hash,
                array_values(array_map(CharacterView::of(...), $flora->characters)),
                array_values(array_map(TaxonSummaryView::of(...), $flora->taxa)),
            ),
        );
        $response->setEtag(substr($flora->hash, 0, 32).'3')->setPrivate();
        $response->isNotModified($request);

        return $response;
    }

    #[Route('/api/terms', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The glossary.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: TermView::class))),
    ),]
    public function terms(): JsonResponse
    {
        return $this->json($this->glossary->terms());
    }

    #[Route('/api/flora/taxa/{id}', requirements: ['id' => '[a-z0-9-]{1,64}'], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The notebook page of a species.',
        content: new Model(type: TaxonView::class),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such taxon.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function taxon(
        #[CurrentUser] User $user,
        string $id,
        #[MapQueryParameter] ?string $flora = null,
    ): JsonResponse {
        $flora = $this->named($flora ?? $user->flora);
        try {
            return $this->json($this->page->of($flora, $flora->taxon($id), Units::from($user->units)));
        } catch (UnknownEntry $e) {
            throw Refused::missing($e->getMessage());
        }
    }

    private function named(string $name): Flora
    {
        return \in_array($name, $this->library->names(), true)
            ? $this->library->flora($name)
            : throw Refused::missing(\sprintf('There is no flora "%s".', $name));
    }
}

<?php

declare(strict_types=1);

namespace App\Map;

use App\Account\User;
use App\Map\View\BaseMapView;
use App\Map\View\MapTreesView;
use App\Map\View\PlaceView;
use App\Map\View\TreeDotView;
use App\Trees\CoveredTrees;
use App\Trees\Input\TreeSearch;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SiteVoter;
use App\Trees\SpecimenRepository;
use App\Trees\TreeDanger;
use App\Trees\TreeLabels;
use App\Web\ApiController;
use App\Web\Permission;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The trees of a selection on the ground. */
#[OA\Tag('map')]
final class MapController extends ApiController
{
    /** More than any page can draw; a selection narrows it. */
    private const MOST = 20_000;

    #[Route('/api/map/trees', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The trees.', content: new Model(type: MapTreesView::class))]
    #[OA\Response(
        response: 422,
        description: 'That is no search.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function trees(
        #[CurrentUser] User $user,
        SpecimenRepository $specimens,
        SiteRepository $sites,
        TreeLabels $labels,
        CoveredTrees $covered,
        #[MapQueryString(validationFailedStatusCode: 422)] TreeSearch $search = new TreeSearch(),
    ): JsonResponse {
        $hidden = $covered->for($user);
        $trees = [];
        $told = [];
        foreach ($specimens->placed($search, self::MOST) as $row) {
            /** @var array{id: string, tag: string, latitude: float|numeric-string, longitude: float|numeric-string, kind: string, kindFlora: string, doubt: string} $row */
            $key = $row['kindFlora'].'/'.$row['kind'];
            if (isset($hidden[$row['id']])) {
                [$kind, $danger] = ['', TreeDanger::Unknown];
            } else {
                $taxon = \array_key_exists($key, $told)
                    ? $told[$key]
                    : ($told[$key] = $labels->taxon($row['kindFlora'], $row['kind']));
                [$kind, $danger] = [$taxon?->commonName() ?? '', $labels->danger($taxon, $row['doubt'])];
            }
            $trees[] = new TreeDotView(
                $row['id'],
                $row['tag'],
                (float) $row['latitude'],
                (float) $row['longitude'],
                $kind,
                $danger,
            );
        }

        return $this->json(
            new MapTreesView(
                $trees,
                $specimens->countAnswering($search),
                array_map(
                    static fn (Site $site): PlaceView => new PlaceView(
                        $site->id,
                        $site->name,
                        $site->latitude,
                        $site->longitude,
                        $site->boundary,
                    ),
                    $sites->findBy([], ['name' => 'ASC']),
                ),
            ),
        );
    }

    /** What lies under the trees: the school's own ground, else in the demo the valley that ships. */
    #[Route('/api/map/base', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'A GeoJSON feature collection; empty where there is none.',
        content: new OA\JsonContent(type: 'object', additionalProperties: true),
    )]
    public function base(Request $request, BaseMaps $maps): Response
    {
        $text = $maps->text();
        $response = new Response($text, headers: ['Content-Type' => 'application/geo+json']);
        $response->setEtag(hash('xxh128', $text));
        $response->headers->set('Cache-Control', 'private, no-cache');
        $response->isNotModified($request);

        return $response;
    }

    /** The body is the file, GeoJSON or GPX; an empty one takes the school's own ground away again. */
    #[Route('/api/map/base', methods: ['POST'])]
    #[OA\RequestBody(
        required: true,
        content: new OA\MediaType(
            mediaType: 'application/geo+json',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    )]
    #[OA\Response(response: 200, description: 'What was read of it.', content: new Model(type: BaseMapView::class))]
    #[OA\Response(
        response: 422,
        description: 'It cannot be taken; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function setBase(
        #[CurrentUser] User $user,
        Request $request,
        BaseMaps $maps,
        Permission $permission,
    ): JsonResponse {
        $permission->need(SiteVoter::CARE);

        return $this->json($maps->set($request->getContent(), $user));
    }
}

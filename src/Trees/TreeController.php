<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Storage\Transaction;
use App\Trees\Input\NewSpecimen;
use App\Trees\Input\TreeSearch;
use App\Trees\View\SiteView;
use App\Trees\View\SpecimenView;
use App\Trees\View\TreesView;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('trees')]
final class TreeController extends ApiController
{
    private const PAGE = 40;

    public function __construct(
        private readonly SpecimenRepository $specimens,
        private readonly SiteRepository $sites,
        private readonly TreeLabels $labels,
    ) {
    }

    #[Route('/api/sites', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The sites.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: SiteView::class))),
    ),]
    public function sites(): JsonResponse
    {
        return $this->json(array_map(SiteView::of(...), $this->sites->findBy([], ['name' => 'ASC'])));
    }

    #[Route('/api/specimens', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'A page of the tagged trees.',
        content: new Model(type: TreesView::class),
    ),]
    #[OA\Response(
        response: 422,
        description: 'That is no search.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function specimens(
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] TreeSearch $search = new TreeSearch(),
    ): JsonResponse {
        $found = $this->specimens->page($search, self::PAGE + 1);
        $trees = \array_slice($found, 0, self::PAGE);

        return $this->json(
            new TreesView(
                $this->labels->of($trees, $user),
                $this->specimens->countAnswering($search),
                \count($found) > self::PAGE ? $trees[self::PAGE - 1]->tag : null,
            ),
        );
    }

    #[Route('/api/specimens/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'One tree.', content: new Model(type: SpecimenView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such tree.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function specimen(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json(
            $this->labels->of(
                [$this->specimens->find($id) ?? throw Refused::missing('There is no such tree.')],
                $user,
            )[0],
        );
    }

    #[Route('/api/specimens', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The tree, tagged.', content: new Model(type: SpecimenView::class))]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function tag(
        #[MapRequestPayload] NewSpecimen $input,
        Transaction $transaction,
        SchoolClock $clock,
    ): JsonResponse {
        return $this->json(
            $transaction->run(function (EntityManagerInterface $entities) use ($input, $clock): SpecimenView {
                $site = $this->sites->find($input->siteId) ?? throw Refused::field('siteId', 'There is no such site.');
                $tag = trim($input->tag);
                $known = null === $input->id ? null : $this->specimens->find(strtolower($input->id));
                if (null !== $known) {
                    return $known->tag === $tag && $known->site === $site
                        ? SpecimenView::of($known) // the same request, sent again
                        : throw Refused::conflict('A tree with this id is tagged, and it is another one.');
                }
                $this->specimens->wantFree($tag);
                if ((null === $input->latitude) !== (null === $input->longitude)) {
                    throw Refused::field('longitude', 'A position has two numbers, or none.');
                }
                $specimen = new Specimen(
                    $tag,
                    $site,
                    trim($input->whereabouts),
                    $clock->now(),
                    null === $input->id ? null : strtolower($input->id),
                );
                [$specimen->latitude, $specimen->longitude] = [$input->latitude, $input->longitude];
                $specimen->uncertainty = null === $input->latitude ? null : $input->uncertainty;
                $specimen->positionFrom = null === $input->latitude ? PositionFrom::Unknown : $input->positionFrom;
                $entities->persist($specimen);

                return SpecimenView::of($specimen);
            }),
        );
    }
}

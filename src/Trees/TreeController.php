<?php

declare(strict_types=1);

namespace App\Trees;

use App\Clock\SchoolClock;
use App\Storage\Transaction;
use App\Trees\Input\NewSpecimen;
use App\Trees\View\SiteView;
use App\Trees\View\SpecimenView;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

#[OA\Tag('trees')]
final class TreeController extends ApiController
{
    public function __construct(private readonly SpecimenRepository $specimens, private readonly SiteRepository $sites)
    {
    }

    #[Route('/api/sites', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The sites.', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: SiteView::class))))]
    public function sites(): JsonResponse
    {
        return $this->json(array_map(SiteView::of(...), $this->sites->findBy([], ['name' => 'ASC'])));
    }

    #[Route('/api/specimens', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The tagged trees.', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: SpecimenView::class))))]
    public function specimens(): JsonResponse
    {
        return $this->json(array_map(SpecimenView::of(...), $this->specimens->findBy([], ['tag' => 'ASC'])));
    }

    #[Route('/api/specimens', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The tree, tagged.', content: new Model(type: SpecimenView::class))]
    #[OA\Response(response: 422, description: 'Refused; nothing was stored.', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))]
    public function tag(#[MapRequestPayload] NewSpecimen $input, Transaction $transaction, SchoolClock $clock): JsonResponse
    {
        return $this->json($transaction->run(function (EntityManagerInterface $entities) use ($input, $clock): SpecimenView {
            $site = $this->sites->find($input->siteId) ?? throw Refused::field('siteId', 'There is no such site.');
            $tag = trim($input->tag);
            if (null !== $this->specimens->findOneBy(['tag' => $tag])) {
                throw Refused::field('tag', \sprintf('The tag %s is taken; choose another.', $tag));
            }
            $specimen = new Specimen($tag, $site, trim($input->whereabouts), $clock->now());
            $entities->persist($specimen);

            return SpecimenView::of($specimen);
        }));
    }
}

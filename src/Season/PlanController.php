<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Season\Input\PlanQuery;
use App\Season\View\PlanView;
use App\Web\ApiController;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Which trees to go to on a day. */
#[OA\Tag('season')]
#[OA\Response(
    response: 422,
    description: 'No such plan.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class PlanController extends ApiController
{
    public function __construct(private readonly VisitPlan $plan)
    {
    }

    #[Route('/api/plan', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The plan.', content: new Model(type: PlanView::class))]
    public function plan(
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] PlanQuery $query = new PlanQuery(),
    ): JsonResponse {
        return $this->json($this->plan->of($query, $user));
    }

    /** The round as a route of GPX 1.1. */
    #[Route('/api/plan.gpx', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The route.',
        content: new OA\MediaType(
            mediaType: 'application/gpx+xml',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    public function route(
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] PlanQuery $query = new PlanQuery(),
    ): Response {
        $plan = $this->plan->of($query, $user);
        $xml = new \XMLWriter();
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('gpx');
        $xml->writeAttribute('version', '1.1');
        $xml->writeAttribute('creator', 'Hylognosis');
        $xml->writeAttribute('xmlns', 'http://www.topografix.com/GPX/1/1');
        $xml->startElement('rte');
        $xml->writeElement('name', 'Round of '.$plan->day);
        foreach ($plan->stops as $stop) {
            if (null !== $stop->latitude && null !== $stop->longitude) {
                $xml->startElement('rtept');
                $xml->writeAttribute('lat', \sprintf('%.7F', $stop->latitude));
                $xml->writeAttribute('lon', \sprintf('%.7F', $stop->longitude));
                $xml->writeElement('name', $stop->tag);
                if ('' !== $stop->whereabouts) {
                    $xml->writeElement('desc', $stop->whereabouts);
                }
                $xml->endElement();
            }
        }
        $xml->endElement();
        $xml->endElement();

        return new Response(
            $xml->outputMemory(),
            headers: [
                'Content-Type' => 'application/gpx+xml',
                'Content-Disposition' => 'attachment; filename="round-'.$plan->day.'.gpx"',
                'Cache-Control' => 'no-store',
            ],
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Season\Input\NewPlannedDay;
use App\Season\Input\PlanQuery;
use App\Season\View\PlannedDayView;
use App\Season\View\PlanView;
use App\Season\View\StopView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
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
    public function __construct(
        private readonly VisitPlan $plan,
        private readonly PlannedDayRepository $days,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
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
        foreach (array_reverse($plan->ends) as $end) {
            self::point($xml, $end->latitude, $end->longitude, ucfirst($end->kind->value), $end->site);
        }
        foreach ($plan->stops as $stop) {
            if (null !== $stop->latitude && null !== $stop->longitude) {
                self::point($xml, $stop->latitude, $stop->longitude, $stop->tag, $stop->whereabouts);
            }
        }
        foreach ($plan->ends as $end) {
            self::point($xml, $end->latitude, $end->longitude, ucfirst($end->kind->value), $end->site);
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

    private static function point(\XMLWriter $xml, float $latitude, float $longitude, string $name, string $about): void
    {
        $xml->startElement('rtept');
        $xml->writeAttribute('lat', \sprintf('%.7F', $latitude));
        $xml->writeAttribute('lon', \sprintf('%.7F', $longitude));
        $xml->writeElement('name', $name);
        if ('' !== $about) {
            $xml->writeElement('desc', $about);
        }
        $xml->endElement();
    }

    /** Days out that were kept, by whomever. */
    #[Route('/api/plan/days', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The days.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: PlannedDayView::class)),
        ),
    ),]
    public function days(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->kept($user));
    }

    #[Route('/api/plan/days', methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'The days.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: PlannedDayView::class)),
        ),
    ),]
    #[OA\Response(
        response: 409,
        description: 'That id is of another day.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function keep(#[CurrentUser] User $user, #[MapRequestPayload] NewPlannedDay $input): JsonResponse
    {
        $plan = $this->plan->of(
            new PlanQuery(
                $input->day,
                $input->sites,
                $input->hopes,
                $input->skip,
                [],
                $input->latitude,
                $input->longitude,
            ),
            $user,
        );
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input, $plan): void {
            $known = $this->days->find($input->id);
            if (null !== $known) {
                if ($known->by !== $user || CalendarDay::iso($known->day) !== $input->day) {
                    throw Refused::conflict('That id is of another day.');
                }

                return; // sent twice
            }
            $entities->persist(
                new PlannedDay(
                    $input->id,
                    CalendarDay::parse($input->day),
                    trim($input->name),
                    [
                        'sites' => $input->sites,
                        'hopes' => $input->hopes,
                        'skip' => $input->skip,
                        'latitude' => $input->latitude,
                        'longitude' => $input->longitude,
                    ],
                    array_map(static fn (StopView $s): string => $s->tag, $plan->stops),
                    $user,
                    $this->clock->now(),
                ),
            );
        });

        return $this->json($this->kept($user));
    }

    /** It stays on record, and is gone from every calendar. */
    #[Route('/api/plan/days/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(
        response: 200,
        description: 'The days.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: PlannedDayView::class)),
        ),
    ),]
    public function giveUp(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $this->transaction->run(function () use ($user, $id): void {
            $day = $this->days->find($id) ?? throw Refused::missing('There is no such day.');
            if (!self::mayGiveUp($day, $user)) {
                throw Refused::forbidden('Whoever kept it gives it up, or an instructor.');
            }
            $day->givenUpAt ??= $this->clock->now();
        });

        return $this->json($this->kept($user));
    }

    private static function mayGiveUp(PlannedDay $day, User $user): bool
    {
        return $day->by === $user || $user->role->mayDecide();
    }

    /** @return list<PlannedDayView> */
    private function kept(User $reader): array
    {
        return array_map(
            static fn (PlannedDay $d): PlannedDayView => new PlannedDayView(
                $d->id,
                CalendarDay::iso($d->day),
                $d->name,
                $d->asked['sites'],
                $d->asked['hopes'],
                $d->asked['skip'],
                $d->asked['latitude'],
                $d->asked['longitude'],
                $d->trees,
                $d->by->name,
                self::mayGiveUp($d, $reader),
            ),
            $this->days->from($this->clock->today()),
        );
    }
}

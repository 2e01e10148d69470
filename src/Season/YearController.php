<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Season\Input\NewEvent;
use App\Season\View\DayView;
use App\Season\View\EventView;
use App\Season\View\ExpectedEventView;
use App\Season\View\PhenologyRowView;
use App\Season\View\PlaceWindowsView;
use App\Season\View\TreeSeasonView;
use App\Season\View\YearView;
use App\Storage\Transaction;
use App\Trees\CoveredTrees;
use App\Trees\SiteRepository;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\SeasonalEvent;
use Hylognosis\Season\Sighting;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The year at a place, and what was seen of it. */
#[OA\Tag('season')]
#[OA\Response(
    response: 404,
    description: 'No such thing.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class YearController extends ApiController
{
    /** Dates of longer ago are looked up in a book. */
    private const OLDEST = '-50 years';

    public function __construct(
        private readonly SpecimenRepository $specimens,
        private readonly SiteRepository $sites,
        private readonly TreeEventRepository $events,
        private readonly LearnedSeasons $seasons,
        private readonly FloraLibrary $library,
        private readonly CoveredTrees $covered,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    /** When a kind may be taken at the school's places. */
    #[Route('/api/flora/taxa/{id}/windows', requirements: ['id' => '[a-z0-9-]+'], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The places.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: PlaceWindowsView::class)),
        ),
    ),]
    public function windows(#[CurrentUser] User $user, string $id, KindAtPlaces $places): JsonResponse
    {
        $flora = $this->library->flora($user->flora);
        $taxon = $flora->taxa[$id] ?? throw Refused::missing('There is no such kind in the flora.');

        return $this->json($places->of($flora, $taxon));
    }

    #[Route('/api/year', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The year.', content: new Model(type: YearView::class))]
    public function year(
        #[CurrentUser] User $user,
        YearOfPlace $year,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(options: ['min_range' => 1900, 'max_range' => 2200], validationFailedStatusCode: 422),]
        ?int $of = null,
        #[MapQueryParameter(validationFailedStatusCode: 422)] bool $all = false,
    ): JsonResponse {
        $place =
            ('' === $site ? $this->sites->findOneBy([], ['name' => 'ASC']) : $this->sites->find($site)) ??
            throw Refused::missing('There is no such place.');

        return $this->json($year->of($place, $of ?? (int) $this->clock->today()->format('Y'), $all, $user));
    }

    #[Route('/api/specimens/{id}/season', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Its year.', content: new Model(type: TreeSeasonView::class))]
    public function season(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->view($this->tree($id), $user));
    }

    #[Route('/api/specimens/{id}/events', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Its year.', content: new Model(type: TreeSeasonView::class))]
    #[OA\Response(
        response: 409,
        description: 'That id is of another event.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function record(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewEvent $input): JsonResponse
    {
        $tree = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $input): Specimen {
            $tree = $this->tree($id);
            $on = CalendarDay::parse($input->on);
            if ($on > $this->clock->today()) {
                throw Refused::field('on', 'That day is still to come.');
            }
            if ($on < $this->clock->today()->modify(self::OLDEST)) {
                throw Refused::field('on', 'That is more than fifty years ago.');
            }
            $known = $this->events->find($input->id);
            if (null !== $known) {
                if ($known->specimen !== $tree || $known->event !== $input->event || $known->by !== $user) {
                    throw Refused::conflict('That id is of another event.');
                }

                return $tree; // sent twice
            }
            $entities->persist(new TreeEvent($input->id, $tree, $input->event, $on, $user, $this->clock->now()));

            return $tree;
        });

        return $this->json($this->view($tree, $user));
    }

    /** It stays on record, and teaches nothing any more. */
    #[Route('/api/events/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'The year of its tree.', content: new Model(type: TreeSeasonView::class))]
    public function takeBack(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $tree = $this->transaction->run(function () use ($user, $id): Specimen {
            $event = $this->events->find($id) ?? throw Refused::missing('There is no such event.');
            if (!self::mayTakeBack($event, $user)) {
                throw Refused::forbidden('Whoever saw it takes it back, or an instructor.');
            }
            $event->takenBackAt ??= $this->clock->now();

            return $event->specimen;
        });

        return $this->json($this->view($tree, $user));
    }

    #[Route('/api/phenology', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Events of kinds over the years.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: PhenologyRowView::class)),
        ),
    ),]
    public function phenology(#[CurrentUser] User $user, PhenologyLog $log): JsonResponse
    {
        return $this->json($log->of($user));
    }

    private function tree(string $id): Specimen
    {
        return $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');
    }

    private static function mayTakeBack(TreeEvent $event, User $user): bool
    {
        return $event->by === $user || $user->role->mayDecide();
    }

    private function view(Specimen $tree, User $reader): TreeSeasonView
    {
        $events = $this->events->ofTree($tree);
        $tells = '' !== $tree->kind && '' === $tree->doubt && !isset($this->covered->for($reader)[$tree->id]);
        $flora = $tells && $this->library->isShipped($tree->kindFlora) ? $this->library->flora($tree->kindFlora) : null;
        $years = null === $flora ? null : $this->seasons->at($flora, $tree->site);
        $now = (int) $this->clock->today()->format('Y');
        $seen = $views = [];
        foreach ($events as $event) {
            $base = $years?->expectedNear(
                new Sighting($tree->kind, $event->event, $tree->site->id, $tree->id, $event->on),
            );
            $views[] = new EventView(
                $event->id,
                $event->event,
                $event->event->words(),
                CalendarDay::iso($event->on),
                $event->by->name,
                self::mayTakeBack($event, $reader),
                null === $base ? null : CalendarDay::between($base, $event->on),
            );
            if ((int) $event->on->format('Y') === $now) {
                $seen[$event->event->value] = CalendarDay::iso($event->on);
            }
        }
        $expected = [];
        foreach (SeasonalEvent::cases() as $event) {
            $day = $years?->event($tree->kind, $event, $tree->site->id, $tree->id, $now);
            if (null !== $day || null === $years) {
                $expected[] = new ExpectedEventView(
                    $event,
                    $event->words(),
                    null === $day ? null : DayView::of($day),
                    $seen[$event->value] ?? null,
                );
            }
        }
        usort(
            $expected,
            static fn (ExpectedEventView $a, ExpectedEventView $b): int => $a->day?->likely <=> $b->day?->likely,
        );

        return new TreeSeasonView($views, $expected);
    }
}

<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Account\UserRepository;
use App\Clock\SchoolClock;
use App\Library\ActivityTable;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Teaching\Input\AfterInput;
use App\Teaching\Input\GroupDayInput;
use App\Teaching\Input\ResultInput;
use App\Teaching\Input\StationInput;
use App\Teaching\View\GroupDaysView;
use App\Teaching\View\GroupDayView;
use App\Teaching\View\GroupOfferView;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Days with a group: planned by instructors, marked by whoever comes along. */
#[OA\Tag('teaching')]
#[OA\Response(
    response: 403,
    description: 'It is not yours to change.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
#[OA\Response(
    response: 404,
    description: 'No such day.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class GroupController extends ApiController
{
    public function __construct(
        private readonly GroupPage $page,
        private readonly GroupOffer $offer,
        private readonly ActivityTable $activities,
        private readonly FloraLibrary $library,
        private readonly SiteRepository $sites,
        private readonly SpecimenRepository $specimens,
        private readonly UserRepository $users,
        private readonly EntityManagerInterface $entities,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/groups', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The days.', content: new Model(type: GroupDaysView::class))]
    public function all(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->page->all($user));
    }

    /** What a place offers on a day: for instructors, who see what the group confuses. */
    #[Route('/api/groups/offer', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The trees.', content: new Model(type: GroupOfferView::class))]
    public function offer(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $day = '',
        #[OA\QueryParameter(description: 'ids of people of the school, with commas between')]
        #[MapQueryParameter(validationFailedStatusCode: 422)]
        string $people = '',
    ): JsonResponse {
        self::need($user);
        $place = $this->sites->find($site) ?? throw Refused::field('site', 'There is no such place.');
        try {
            $on = '' === $day ? $this->clock->today() : CalendarDay::parse($day);
        } catch (NoSuchDay) {
            throw Refused::field('day', 'A day is wanted, YYYY-MM-DD.');
        }
        $along = [];
        foreach (array_filter(explode(',', $people), static fn (string $id): bool => '' !== $id) as $id) {
            $along[] = $this->users->find($id) ?? throw Refused::field('people', 'There is no such person.');
        }

        return $this->json($this->offer->of($place, $on, $along, $user));
    }

    #[Route('/api/groups/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The day.', content: new Model(type: GroupDayView::class))]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->page->of($this->day($id), $user));
    }

    #[Route('/api/groups/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The day.', content: new Model(type: GroupDayView::class))]
    public function plan(#[CurrentUser] User $user, string $id, #[MapRequestPayload] GroupDayInput $input): JsonResponse
    {
        self::need($user);
        $site = $this->sites->find($input->siteId) ?? throw Refused::field('siteId', 'There is no such place.');
        $on = CalendarDay::parse($input->day);
        foreach ($input->people as $i => $person) {
            if (null === $this->users->find($person)) {
                throw Refused::field("people[$i]", 'There is no such person.');
            }
        }
        foreach ($input->stations as $i => $station) {
            $this->check($user, $station, $i);
        }
        $day = $this->transaction->run(function (EntityManagerInterface $entities) use (
            $user,
            $id,
            $input,
            $site,
            $on,
        ): GroupDay {
            $day = $entities->find(GroupDay::class, strtolower($id));
            if (null === $day) {
                $day = new GroupDay(strtolower($id), $on, $site, trim($input->name), $user, $this->clock->now());
                $entities->persist($day);
            }
            [$day->day, $day->site, $day->name] = [$on, $site, trim($input->name)];
            [$day->people, $day->guests] = [array_values(array_unique($input->people)), $input->guests];
            $day->stations = array_values(
                array_map(
                    static fn (StationInput $s): array => [
                        'id' => $s->id,
                        'tree' => $s->tree,
                        'character' => $s->character,
                        'activity' => $s->activity,
                        'note' => trim($s->note),
                    ],
                    $input->stations,
                ),
            );

            return $day;
        });

        return $this->json($this->page->of($day, $user));
    }

    /** It is not shown any more. */
    #[Route('/api/groups/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'The days.', content: new Model(type: GroupDaysView::class))]
    public function giveUp(#[CurrentUser] User $user, string $id): JsonResponse
    {
        self::need($user);
        $day = $this->day($id);
        $this->transaction->run(fn () => ($day->givenUpAt ??= $this->clock->now()));

        return $this->json($this->page->all($user));
    }

    /** Found, not found, or taken back. Sent twice it is the same. */
    #[Route('/api/groups/{id}/results', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The day.', content: new Model(type: GroupDayView::class))]
    public function result(#[CurrentUser] User $user, string $id, #[MapRequestPayload] ResultInput $input): JsonResponse
    {
        $day = $this->day($id);
        if (!$user->role->mayDecide() && !\in_array($user->id, $day->people, true)) {
            throw Refused::forbidden('Whoever was there marks it.');
        }
        $guest = 1 === preg_match('/^guest-([1-9]\d?)$/D', $input->who, $number) ? (int) $number[1] : 0;
        if (!\in_array($input->who, $day->people, true) && ($guest < 1 || $guest > $day->guests)) {
            throw Refused::field('who', 'Nobody of that name came along.');
        }
        if (!\in_array($input->station, array_column($day->stations, 'id'), true)) {
            throw Refused::field('station', 'There is no such station.');
        }
        $this->transaction->run(static function () use ($day, $input): void {
            $results = $day->results;
            if (null === $input->found) {
                unset($results[$input->station][$input->who]);
            } else {
                $results[$input->station][$input->who] = $input->found;
            }
            $day->results = $results;
        });

        return $this->json($this->page->of($day, $user));
    }

    /** What was learnt, and whom to ask what next time. */
    #[Route('/api/groups/{id}/after', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The day.', content: new Model(type: GroupDayView::class))]
    public function after(#[CurrentUser] User $user, string $id, #[MapRequestPayload] AfterInput $input): JsonResponse
    {
        self::need($user);
        $day = $this->day($id);
        $flora = $this->library->flora($user->flora);
        $next = [];
        foreach ($input->next as $i => $ask) {
            if (!\in_array($ask->who, $day->people, true)) {
                throw Refused::field("next[$i].who", 'Nobody of that name came along.');
            }
            if (!isset($flora->characters[$ask->character])) {
                throw Refused::field("next[$i].character", 'There is no such character.');
            }
            $next[] = ['who' => $ask->who, 'character' => $ask->character];
        }
        $this->transaction->run(static function () use ($day, $input, $next): void {
            [$day->learnt, $day->next] = [trim($input->learnt), $next];
        });

        return $this->json($this->page->of($day, $user));
    }

    private function check(User $user, StationInput $station, int $i): void
    {
        if (null !== $station->tree && null === $this->specimens->find($station->tree)) {
            throw Refused::field("stations[$i].tree", 'There is no such tree.');
        }
        if (('' === $station->character) === ('' === $station->activity)) {
            throw Refused::field("stations[$i]", 'A station is a look or an activity, one of the two.');
        }
        $characters = $this->library->flora($user->flora)->characters;
        if ('' !== $station->character && !isset($characters[$station->character])) {
            throw Refused::field("stations[$i].character", 'There is no such character.');
        }
        if ('' !== $station->activity && !isset($this->activities->all()[$station->activity])) {
            throw Refused::field("stations[$i].activity", 'There is no such activity.');
        }
    }

    private static function need(User $user): void
    {
        if (!$user->role->mayDecide()) {
            throw Refused::forbidden('A day with a group is planned by an instructor.');
        }
    }

    private function day(string $id): GroupDay
    {
        $day = $this->entities->find(GroupDay::class, strtolower($id));

        return null === $day || null !== $day->givenUpAt ? throw Refused::missing('There is no such day.') : $day;
    }
}

<?php

declare(strict_types=1);

namespace App\Weather;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SiteVoter;
use App\Trees\StationKind;
use App\Weather\Input\RecordsQuery;
use App\Weather\Input\StationInput;
use App\Weather\View\RecordsView;
use App\Weather\View\WeatherDayView;
use App\Weather\View\WeatherView;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Temperature;
use Hylognosis\Season\Warmth;
use Hylognosis\Weather\DegreeDays;
use Hylognosis\Weather\RecordReader;
use Hylognosis\Weather\Records;
use Hylognosis\Weather\UnusableRecords;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The weather of a place, and files of stations. */
#[OA\Tag('season')]
#[OA\Response(
    response: 404,
    description: 'No such place.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class WeatherController extends ApiController
{
    private const MOST_BYTES = 5_000_000;
    private const SHOWN = 30;

    public function __construct(
        private readonly SiteRepository $sites,
        private readonly StoredDayRepository $records,
        private readonly Stations $stations,
        private readonly FloraLibrary $library,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
    ) {
    }

    #[Route('/api/sites/{id}/weather', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The weather.', content: new Model(type: WeatherView::class))]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->view($this->site($id), $user));
    }

    #[Route('/api/sites/{id}/station', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The weather.', content: new Model(type: WeatherView::class))]
    public function station(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] StationInput $input,
    ): JsonResponse {
        $this->permission->need(SiteVoter::CARE);
        $site = $this->transaction->run(function () use ($user, $id, $input): Site {
            $site = $this->site($id);
            $site->station = $input->station;
            $this->deeds->note(
                $user,
                DeedKind::PlaceChanged,
                $site->name,
                'weather: '.('' === $input->station->value ? 'none' : $input->station->value),
            );

            return $site;
        });
        $this->stations->reset();

        return $this->json($this->view($site, $user));
    }

    /** The body is the file. Without run it is only said what is in it; with it, all of it is kept, or nothing. */
    #[Route('/api/sites/{id}/weather', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\RequestBody(
        required: true,
        content: new OA\MediaType(
            mediaType: 'application/octet-stream',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    #[OA\Response(response: 200, description: 'What is in it.', content: new Model(type: RecordsView::class))]
    public function bring(
        #[CurrentUser] User $user,
        Request $request,
        string $id,
        #[MapQueryString(validationFailedStatusCode: 422)] RecordsQuery $query = new RecordsQuery(),
    ): JsonResponse {
        $this->permission->need(SiteVoter::CARE);
        $bytes = $request->getContent();
        if (\strlen($bytes) > self::MOST_BYTES) {
            throw Refused::field('file', 'The file has more than 5 MB.');
        }
        $this->site($id);
        try {
            $records = self::reader($query)->read($bytes);
        } catch (UnusableRecords $bad) {
            return $this->json(new RecordsView(false, '', '', 0, 0, 0, 0, [], self::sentences($bad)));
        }
        $last = $records->days[\count($records->days) - 1];
        if ($last->day > $this->clock->today()) {
            $fault = CalendarDay::iso($last->day).' is still to come: a forecast is no record.';

            return $this->json(new RecordsView(false, '', '', 0, 0, 0, 0, [], [$fault]));
        }

        return $this->json(
            $this->transaction->run(
                fn (EntityManagerInterface $entities): RecordsView => $this->kept(
                    $entities,
                    $id,
                    $records,
                    $query->run,
                    $user,
                ),
            ),
        );
    }

    private function kept(
        EntityManagerInterface $entities,
        string $id,
        Records $records,
        bool $run,
        User $by,
    ): RecordsView {
        $site = $this->site($id);
        $known = $this->records->ofSite($site);
        $new = $other = 0;
        foreach ($records->days as $day) {
            $stored = $known[CalendarDay::iso($day->day)] ?? null;
            if (null === $stored) {
                ++$new;
                if ($run) {
                    $entities->persist(new StoredDay($site, $day, $day->day));
                }
            } elseif ($stored->differs($day)) {
                ++$other;
                if ($run) {
                    $stored->change($day);
                }
            }
        }
        if ($run) {
            $site->station = StationKind::Records;
            $this->deeds->note($by, DeedKind::Imported, $site->name, \count($records->days).' days of weather');
        }

        return new RecordsView(
            $run,
            CalendarDay::iso($records->days[0]->day),
            CalendarDay::iso($records->days[\count($records->days) - 1]->day),
            \count($records->days),
            $new,
            $other,
            $records->empty,
            array_map(
                static fn (array $gap): string => CalendarDay::iso($gap[0]).' '.CalendarDay::iso($gap[1]),
                $records->gaps(),
            ),
            [],
        );
    }

    private static function reader(RecordsQuery $query): RecordReader
    {
        return new RecordReader(
            'f' === $query->temperature ? 'f' : 'c',
            'in' === $query->rain ? 'in' : 'mm',
            match ($query->wind) {
                'kmh' => 'kmh',
                'mph' => 'mph',
                'kn' => 'kn',
                default => 'ms',
            },
            'month' === $query->dates ? 'month' : 'day',
        );
    }

    /** @return list<string> */
    private static function sentences(UnusableRecords $bad): array
    {
        return array_map(
            static fn (array $f): string => \sprintf('Line %d%s: %s', $f[0], '' === $f[1] ? '' : ', '.$f[1], $f[2]),
            $bad->faults,
        );
    }

    private function view(Site $site, User $reader): WeatherView
    {
        $today = $this->clock->today();
        $days = $this->stations->days($site, CalendarDay::parse($today->format('Y').'-01-01'), $today);
        $warmth = 0.0;
        foreach ($days as $day) {
            $warmth += DegreeDays::SingleSine->kelvinDays(
                $day->least,
                $day->greatest,
                Temperature::celsius(Warmth::BASE),
            );
        }
        // the day itself is not over
        $whole = [] !== $days && \count($days) >= (int) $today->format('z');

        return new WeatherView(
            $site->station,
            $this->records->count(['site' => $site]),
            null !== $this->stations->warmth($site, $this->library->flora($reader->flora)->reference),
            $whole ? round($warmth, 1) : null,
            array_map(WeatherDayView::of(...), \array_slice($days, -self::SHOWN)),
        );
    }

    private function site(string $id): Site
    {
        return $this->sites->find($id) ?? throw Refused::missing('There is no such place.');
    }
}

<?php

declare(strict_types=1);

namespace App\Reckoning;

use App\Clock\SchoolClock;
use App\Reckoning\Input\StackQuery;
use App\Reckoning\View\StackView;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\StationKind;
use App\Weather\Stations;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Volume;
use Hylognosis\Processing\AirDrying;
use Hylognosis\Processing\Firewood;
use Hylognosis\Processing\Moisture;
use Hylognosis\Weather\DailyWeather;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;

/** How a stack dries in the weather of its place. */
#[OA\Tag('reckoning')]
final class StackController extends ApiController
{
    private const YEARS = 6;
    /** Fewer days with a humidity tell nothing of the rest. */
    private const MEASURED = 0.8;

    public function __construct(
        private readonly SiteRepository $sites,
        private readonly Stations $stations,
        private readonly SchoolClock $clock,
    ) {
    }

    #[Route('/api/reckoning/stack', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'How dry it is.', content: new Model(type: StackView::class))]
    #[OA\Response(
        response: 409,
        description: 'No station tells enough of the place.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'Nothing can be reckoned of that.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function stack(#[MapQueryString(validationFailedStatusCode: 422)] StackQuery $asked): JsonResponse
    {
        $site = $this->sites->find($asked->site) ?? throw Refused::field('site', 'There is no such place.');
        $today = $this->clock->today();
        $since = CalendarDay::parse($asked->since);
        if ($since > $today || $since < $today->modify('-'.self::YEARS.' years')) {
            throw Refused::field('since', 'It was stacked today, or within the last six years.');
        }
        $years = $this->years($site, $today);
        $stood = $this->stations->days($site, $since, $today->modify('-1 day'));
        $this->enough([...$stood, ...$years[0] ?? []]);
        if ([] === $years) {
            throw Refused::conflict(
                'The station of the place knows less than a year: nothing can be said of what comes.',
            );
        }
        $stack = new AirDrying(Length::ofMetres($asked->thick / 1000), Length::ofMetres($asked->long), $asked->density);
        $dry = Moisture::wetBasis($asked->dry / 100);
        $now = $stack->after(Moisture::wetBasis($asked->wet / 100), $stood);
        [$soonest, $likely, $latest] = $stack->daysTo($now, $dry, $years);
        $metre = Firewood::stacked(Volume::ofCubicMetres(1.0));
        $on = static fn (?int $days): ?string => null === $days ? null : CalendarDay::iso($today->modify("+$days days"));

        return $this->json(
            new StackView(
                StationKind::StandIn === $site->station,
                \count($stood),
                \count($years),
                round(100 * $now[0]->onWetBasis(), 1),
                round(100 * $now[1]->onWetBasis(), 1),
                round($metre->heat($asked->density, $now[1])),
                round($metre->heat($asked->density, $dry)),
                $on($soonest),
                $on($likely),
                $on($latest),
            ),
        );
    }

    /**
     * Weather that may come: from this day of an earlier year onward, and where the records end, the same years again.
     *
     * @return list<list<DailyWeather>>
     */
    private function years(Site $site, \DateTimeImmutable $today): array
    {
        $years = [];
        for ($ago = 1; $ago <= self::YEARS; ++$ago) {
            $from = $today->modify("-$ago years");
            $days = $this->stations->days($site, $from, $today->modify('-1 day'));
            if (\count($days) < 360 * $ago) {
                break; // where days are missing the stack would stand still
            }
            $run = $days;
            while (\count($run) < AirDrying::MOST_DAYS) {
                array_push($run, ...$days);
            }
            $years[] = $run;
        }

        return $years;
    }

    /** @param list<DailyWeather> $days */
    private function enough(array $days): void
    {
        $measured = array_filter($days, static fn (DailyWeather $d): bool => null !== $d->humidityPercent);
        if ([] === $days || \count($measured) < self::MEASURED * \count($days)) {
            throw Refused::conflict('No station tells warmth and humidity of that place: nothing can be said.');
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Hazards;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Hazards\View\DaySheetView;
use App\Hazards\View\SwallowedView;
use App\Storage\Transaction;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Care\Allergy;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a group meets on a day, and what is needed when something was swallowed. */
#[OA\Tag('hazards')]
#[OA\Response(
    response: 422,
    description: 'That cannot be answered.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class HazardsController extends ApiController
{
    public function __construct(
        private readonly DaySheet $sheet,
        private readonly NearTrees $near,
        private readonly SiteRepository $sites,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    /** Nothing of who is allergic to what is kept: it is asked for each time, and without names. */
    #[Route('/api/hazards/day', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The sheet.', content: new Model(type: DaySheetView::class))]
    public function day(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $day = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $allergies = '',
    ): JsonResponse {
        try {
            $on = '' === $day ? $this->clock->today() : CalendarDay::parse($day);
        } catch (NoSuchDay) {
            throw Refused::field('day', 'A day is wanted, YYYY-MM-DD.');
        }
        $told = [];
        foreach (array_filter(explode(',', $allergies), static fn (string $word): bool => '' !== $word) as $word) {
            $allergy = Allergy::tryFrom($word);
            $told[] = $allergy ?? throw Refused::field('allergies', \sprintf('"%s" is not known here.', $word));
        }

        return $this->json($this->sheet->of($this->site($site), $on, $told, $user));
    }

    /** Which trees stood near. A tree the reader is to look at unbiased is told without its kind. */
    #[Route('/api/hazards/swallowed', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The page.', content: new Model(type: SwallowedView::class))]
    public function swallowed(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] ?float $latitude = null,
        #[MapQueryParameter(validationFailedStatusCode: 422)] ?float $longitude = null,
    ): JsonResponse {
        return $this->page($user, $site, $latitude, $longitude);
    }

    /** It happened: all is told. Whoever asks for it is no second person any more for what was looked at until now. */
    #[Route('/api/hazards/swallowed/all', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The page.', content: new Model(type: SwallowedView::class))]
    public function tellAll(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $site = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] ?float $latitude = null,
        #[MapQueryParameter(validationFailedStatusCode: 422)] ?float $longitude = null,
    ): JsonResponse {
        $this->transaction->run(fn () => ($user->exportedAt = $this->clock->now()));

        return $this->page($user, $site, $latitude, $longitude, true);
    }

    private function page(
        User $user,
        string $site,
        ?float $latitude,
        ?float $longitude,
        bool $all = false,
    ): JsonResponse {
        if ((null === $latitude) !== (null === $longitude) || abs($latitude ?? 0) > 90 || abs($longitude ?? 0) > 180) {
            throw Refused::field('longitude', 'A position has two numbers, or none.');
        }

        $place = '' === $site ? null : $this->site($site);

        return $this->json($this->near->of($place, $latitude, $longitude, $user, $all));
    }

    private function site(string $id): Site
    {
        return $this->sites->find($id) ?? throw Refused::field('site', 'There is no such place.');
    }
}

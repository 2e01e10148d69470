<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Account\UserRepository;
use App\Season\View\FeedView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The year in one's own calendar: to fetch, or by a private address that can be taken back. */
#[OA\Tag('season')]
final class CalendarController extends ApiController
{
    public function __construct(private readonly CalendarFeed $feed, private readonly Transaction $transaction)
    {
    }

    #[Route('/api/calendar.ics', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The calendar.',
        content: new OA\MediaType(
            mediaType: 'text/calendar',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    public function fetch(#[CurrentUser] User $user): Response
    {
        return $this->calendar($user, 'attachment; filename="trees.ics"');
    }

    #[Route('/api/calendar', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Whether there is an address.',
        content: new Model(type: FeedView::class),
    ),]
    public function address(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json(new FeedView('' !== $user->calendarHash, null));
    }

    /** Makes a new address; one made before leads nowhere from then on. */
    #[Route('/api/calendar', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The address.', content: new Model(type: FeedView::class))]
    public function make(#[CurrentUser] User $user): JsonResponse
    {
        $secret = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        $this->transaction->run(static fn () => ($user->calendarHash = hash('sha256', $secret)));

        return $this->json(new FeedView(true, '/api/feed/'.$secret.'.ics'));
    }

    #[Route('/api/calendar', methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'It leads nowhere any more.', content: new Model(type: FeedView::class))]
    public function revoke(#[CurrentUser] User $user): JsonResponse
    {
        $this->transaction->run(static fn () => ($user->calendarHash = ''));

        return $this->json(new FeedView(false, null));
    }

    /** For calendars that ask by themselves: whoever knows the address reads it. */
    #[Route('/api/feed/{secret}.ics', requirements: ['secret' => '[A-Za-z0-9_-]{32}'], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The calendar.',
        content: new OA\MediaType(
            mediaType: 'text/calendar',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    ),]
    #[OA\Response(
        response: 404,
        description: 'It leads nowhere.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function byAddress(string $secret, UserRepository $people): Response
    {
        $user = $people->findOneBy(['calendarHash' => hash('sha256', $secret)]);
        if (null === $user || $user->hasLeft()) {
            throw Refused::missing('This address leads nowhere.');
        }

        return $this->calendar($user, 'inline');
    }

    private function calendar(User $user, string $disposition): Response
    {
        return new Response(
            $this->feed->of($user),
            headers: [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => $disposition,
                'Cache-Control' => 'private, no-store',
                'X-Robots-Tag' => 'noindex',
            ],
        );
    }
}

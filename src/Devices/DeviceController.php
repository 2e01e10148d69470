<?php

declare(strict_types=1);

namespace App\Devices;

use App\Account\User;
use App\Devices\Input\GaugeInput;
use App\Devices\Input\WalkInput;
use App\Devices\View\GaugeView;
use App\Devices\View\ReceiverView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Position\NmeaReader;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Devices that hang on this machine. What ships plays them; a real one takes the same place. */
#[OA\Tag('devices')]
#[OA\Response(
    response: 422,
    description: 'That cannot be set.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class DeviceController extends ApiController
{
    public function __construct(
        private readonly PositionReceiver $receiver,
        private readonly LengthGauge $gauge,
        private readonly Camera $camera,
        private readonly StandInSettings $settings,
        #[Autowire(service: 'clock')] private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/api/devices/receiver', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Where it is.', content: new Model(type: ReceiverView::class))]
    public function receiver(#[CurrentUser] User $user): JsonResponse
    {
        $sentences = $this->receiver->sentences($user->id);
        $read = (new NmeaReader())->read($sentences);
        $fix = $read['fix'];

        return $this->json(
            new ReceiverView(
                $sentences,
                $read['damaged'],
                $read['because'],
                $fix?->latitude,
                $fix?->longitude,
                $fix?->altitude?->metres(),
                $fix?->uncertainty?->metres(),
                $fix?->satellites,
                $this->receiver->isStandIn(),
            ),
        );
    }

    #[Route('/api/devices/receiver', methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'Where it is now.', content: new Model(type: ReceiverView::class))]
    public function walk(#[CurrentUser] User $user, #[MapRequestPayload] WalkInput $input): JsonResponse
    {
        $this->settings->setWalk($user->id, [
            'latitude' => $input->latitude,
            'longitude' => $input->longitude,
            'heading' => $input->heading,
            'speed' => $input->speed,
            'error' => $input->error,
            'lost' => $input->lost,
            'since' => $this->clock->now()->getTimestamp(),
        ]);

        return $this->receiver($user);
    }

    #[Route('/api/devices/gauge', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What it reads.', content: new Model(type: GaugeView::class))]
    public function gauge(#[CurrentUser] User $user): JsonResponse
    {
        $raw = $this->gauge->reading($user->id);
        $read = 1 === preg_match('/^\s*(\d{1,6}(?:\.\d{1,3})?)\s*(mm|cm|m|in)\s*$/D', $raw, $m) ? $m : null;

        return $this->json(
            new GaugeView($raw, null === $read ? null : (float) $read[1], $read[2] ?? '', $this->gauge->isStandIn()),
        );
    }

    #[Route('/api/devices/gauge', methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'What it reads now.', content: new Model(type: GaugeView::class))]
    public function setGauge(#[CurrentUser] User $user, #[MapRequestPayload] GaugeInput $input): JsonResponse
    {
        $this->settings->setGauge($user->id, ['reading' => $input->reading, 'unit' => $input->unit]);

        return $this->gauge($user);
    }

    #[Route('/api/devices/camera', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Names of the pictures in it.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'string')),
    )]
    public function camera(): JsonResponse
    {
        return $this->json($this->camera->names());
    }

    #[Route(
        '/api/devices/camera/{name}',
        requirements: ['name' => '[A-Za-z0-9_-]+\.(?:jpg|png|webp)'],
        methods: ['GET'],
    )]
    #[OA\Response(
        response: 200,
        description: 'A picture as the camera made it.',
        content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')),
    )]
    #[OA\Response(
        response: 404,
        description: 'No such picture.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function picture(string $name): Response
    {
        return new Response(
            $this->camera->picture($name) ?? throw Refused::missing('The camera has no such picture.'),
            headers: [
                'Content-Type' => str_ends_with($name, '.png')
                    ? 'image/png'
                    : (str_ends_with($name, '.webp')
                        ? 'image/webp'
                        : 'image/jpeg'),
                'X-Content-Type-Options' => 'nosniff',
                'Cache-Control' => 'private, no-cache',
            ],
        );
    }
}

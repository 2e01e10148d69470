<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Keeping\View\CopyView;
use App\Running\RunningVoter;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\ResponseHeaderBag;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Copies of everything, by a press of a button. */
#[OA\Tag('running')]
final class KeepingController extends ApiController
{
    public function __construct(private readonly Copies $copies, private readonly Permission $permission)
    {
    }

    #[Route('/api/copies', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The copies, the newest first.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: CopyView::class))),
    )]
    public function all(): JsonResponse
    {
        $this->permission->need(RunningVoter::SEE);

        return $this->json(array_map(self::view(...), $this->copies->all()));
    }

    #[Route('/api/copies', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The copy.', content: new Model(type: CopyView::class))]
    #[OA\Response(
        response: 409,
        description: 'No copy could be made.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function make(#[CurrentUser] User $user, Transaction $transaction, DeedRepository $deeds): JsonResponse
    {
        $this->permission->need(RunningVoter::SEE);
        try {
            $copy = $this->copies->make();
        } catch (CopyFailed $failed) {
            throw Refused::conflict($failed->getMessage());
        }
        $transaction->run(static fn () => $deeds->note($user, DeedKind::CopyMade, $copy->name));

        return $this->json(self::view($copy));
    }

    #[Route('/api/copies/{name}', requirements: ['name' => '\d{8}T\d{6}Z'], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The archive.',
        content: new OA\MediaType(
            mediaType: 'application/zip',
            schema: new OA\Schema(type: 'string', format: 'binary'),
        ),
    )]
    #[OA\Response(
        response: 404,
        description: 'No such copy.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function fetch(string $name): BinaryFileResponse
    {
        $this->permission->need(RunningVoter::SEE);
        $copy = $this->copies->find($name) ?? throw Refused::missing('There is no such copy.');
        $response = new BinaryFileResponse(
            $copy->path,
            headers: ['Content-Type' => 'application/zip', 'Cache-Control' => 'no-store'],
        );

        return $response->setContentDisposition(
            ResponseHeaderBag::DISPOSITION_ATTACHMENT,
            'hylognosis-'.$copy->name.'.zip',
        );
    }

    private static function view(Copy $copy): CopyView
    {
        return new CopyView($copy->name, $copy->madeAt->format(\DateTimeInterface::RFC3339), $copy->bytes);
    }
}

<?php

declare(strict_types=1);

namespace App\Pictures;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Batches\Batch;
use App\Batches\BatchRepository;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationVoter;
use App\Examine\ScoreRecord;
use App\Harvest\HarvestRecord;
use App\Harvest\HarvestRepository;
use App\Health\TreeSign;
use App\Pictures\Input\NewPicture;
use App\Pictures\Input\PictureChange;
use App\Pictures\View\PictureView;
use App\Storage\Transaction;
use App\Trees\SitePermission;
use App\Trees\SiteRepository;
use App\Trees\SiteVoter;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Photographs as evidence, and the papers permissions stand on. */
#[OA\Tag('pictures')]
#[OA\Response(
    response: 404,
    description: 'There is no such thing, or it is covered.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class PictureController extends ApiController
{
    public function __construct(
        private readonly PictureRepository $pictures,
        private readonly Album $album,
        private readonly Developing $developing,
        private readonly SpecimenRepository $specimens,
        private readonly SiteRepository $sites,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
    ) {
    }

    #[Route('/api/specimens/{id}/pictures', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Pictures of a tree that may be seen now.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: PictureView::class))),
    ),]
    public function ofTree(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $tree = $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');

        return $this->json(array_map(PictureView::of(...), $this->pictures->ofTree($tree, $user)));
    }

    #[Route('/api/harvests/{id}/pictures', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Pictures of a harvest that may be seen now.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: PictureView::class))),
    ),]
    public function ofHarvest(#[CurrentUser] User $user, string $id, HarvestRepository $harvests): JsonResponse
    {
        $harvest = $harvests->find($id) ?? throw Refused::missing('There is no such harvest.');

        return $this->json(array_map(PictureView::of(...), $this->pictures->ofHarvest($harvest, $user)));
    }

    #[Route('/api/batches/{id}/pictures', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Pictures of something that is made.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: PictureView::class))),
    ),]
    public function ofBatch(string $id, BatchRepository $batches): JsonResponse
    {
        $batch = $batches->find($id) ?? throw Refused::missing('There is nothing of the kind.');

        return $this->json(array_map(PictureView::of(...), $this->pictures->ofBatch($batch)));
    }

    #[Route('/api/sites/{id}/papers', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Papers of what the owner said.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: PictureView::class))),
    ),]
    public function ofSite(string $id): JsonResponse
    {
        $site = $this->sites->find($id) ?? throw Refused::missing('There is no such place.');

        return $this->json(array_map(PictureView::of(...), $this->pictures->ofSite($site)));
    }

    /** The body is the file itself. */
    #[Route('/api/pictures', methods: ['POST'])]
    #[OA\RequestBody(
        required: true,
        content: [
            new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')),
            new OA\MediaType(mediaType: 'image/png', schema: new OA\Schema(type: 'string', format: 'binary')),
            new OA\MediaType(mediaType: 'image/webp', schema: new OA\Schema(type: 'string', format: 'binary')),
            new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
        ],
    ),]
    #[OA\Response(response: 200, description: 'The picture.', content: new Model(type: PictureView::class))]
    #[OA\Response(
        response: 422,
        description: 'It cannot be taken; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function add(
        #[CurrentUser] User $user,
        Request $request,
        #[MapQueryString(validationFailedStatusCode: 422)] NewPicture $input = new NewPicture(),
    ): JsonResponse {
        if ((int) $request->headers->get('Content-Length', '0') > Developing::MOST_BYTES) {
            throw Refused::field('file', 'The picture has more than 12 MB. Save it smaller.');
        }
        if (
            1 !==
            \count(
                array_diff(
                    [
                        $input->tree,
                        $input->score,
                        $input->examination,
                        $input->harvest,
                        $input->batch,
                        $input->permission,
                        $input->sign,
                    ],
                    [''],
                ),
            )
        ) {
            throw Refused::field(
                'tree',
                'Say what it is a picture of: one tree, score, examination, harvest, batch, permission or sign.',
            );
        }
        $bytes = $request->getContent();
        // drawn anew while nobody waits for the lock
        $developed = str_starts_with($bytes, '%PDF-') ? null : $this->developing->develop($bytes);

        return $this->json(
            PictureView::of(
                $this->transaction->run(function (EntityManagerInterface $entities) use (
                    $user,
                    $bytes,
                    $input,
                    $developed,
                ): Picture {
                    $picture = $this->album->put(
                        $bytes,
                        null === $input->takenOn ? null : CalendarDay::parse($input->takenOn),
                        $user,
                        '' !== $input->permission,
                        $developed,
                    );
                    $picture->caption = trim($input->caption);
                    $this->attach($picture, $input, $entities);

                    return $picture;
                }),
            ),
        );
    }

    #[Route(
        '/api/pictures/{id}/{kind}',
        requirements: ['id' => Requirement::UUID, 'kind' => 'full|thumb'],
        methods: ['GET'],
    ),]
    #[OA\Response(
        response: 200,
        description: 'The picture itself.',
        content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')),
    ),]
    public function show(#[CurrentUser] User $user, Request $request, string $id, string $kind): Response
    {
        $picture = $this->seen($id, $user);
        $response = new Response(
            headers: [
                'Content-Type' => $picture->type,
                'Content-Security-Policy' => "default-src 'none'; sandbox",
                'X-Content-Type-Options' => 'nosniff',
            ],
        );
        if ('application/pdf' === $picture->type) {
            $response->headers->set(
                'Content-Disposition',
                HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, 'permission.pdf'),
            );
        }
        $response->setEtag($picture->hash.$kind);
        $response->headers->set('Cache-Control', 'private, no-cache');
        if (!$response->isNotModified($request)) {
            $response->setContent(
                $this->album->bytes($picture, Rendition::from($kind)) ??
                    throw Refused::missing('There is no such picture.'),
            );
        }

        return $response;
    }

    #[Route('/api/pictures/{id}', requirements: ['id' => Requirement::UUID], methods: ['PATCH'])]
    #[OA\Response(response: 200, description: 'The picture.', content: new Model(type: PictureView::class))]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function change(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] PictureChange $input,
    ): JsonResponse {
        return $this->json(
            PictureView::of(
                $this->transaction->run(function () use ($user, $id, $input): Picture {
                    $picture = $this->own($id, $user);
                    $picture->caption = trim($input->caption);
                    $picture->pixelsPerMillimetre = $input->pixelsPerMillimetre;

                    return $picture;
                }),
            ),
        );
    }

    /** Takes it away; it can be put back. */
    #[Route('/api/pictures/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'The picture, taken away.', content: new Model(type: PictureView::class))]
    public function remove(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json(
            PictureView::of(
                $this->transaction->run(function () use ($user, $id): Picture {
                    $picture = $this->own($id, $user);
                    $picture->removedAt ??= $this->clock->now();
                    $tree = $picture->specimen ?? $picture->examination?->specimen;
                    $this->deeds->note(
                        $user,
                        DeedKind::PictureRemoved,
                        $tree->tag ?? ($picture->permission->site->name ?? ''),
                        $picture->caption,
                    );

                    return $picture;
                }),
            ),
        );
    }

    #[Route('/api/pictures/{id}/restore', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The picture, back again.', content: new Model(type: PictureView::class))]
    public function restore(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json(
            PictureView::of(
                $this->transaction->run(function () use ($user, $id): Picture {
                    $picture = $this->own($id, $user);
                    $picture->removedAt = null;

                    return $picture;
                }),
            ),
        );
    }

    private function attach(Picture $picture, NewPicture $input, EntityManagerInterface $entities): void
    {
        if ('' !== $input->tree) {
            $picture->specimen =
                $this->specimens->find($input->tree) ?? throw Refused::field('tree', 'There is no such tree.');
        }
        if ('' !== $input->score) {
            $score =
                $entities->find(ScoreRecord::class, $input->score) ??
                throw Refused::field('score', 'There is no such score.');
            $this->permission->need(ExaminationVoter::CHANGE, $score->examination);
            [$picture->score, $picture->examination] = [$score, $score->examination];
        }
        if ('' !== $input->examination) {
            $picture->examination =
                $entities->find(ExaminationRecord::class, $input->examination) ??
                throw Refused::field('examination', 'There is no such examination.');
            $this->permission->need(ExaminationVoter::CHANGE, $picture->examination);
        }
        if ('' !== $input->harvest) {
            $harvest =
                $entities->find(HarvestRecord::class, $input->harvest) ??
                throw Refused::field('harvest', 'There is no such harvest.');
            [$picture->harvest, $picture->specimen] = [$harvest, $harvest->decision->examination->specimen];
        }
        if ('' !== $input->batch) {
            $picture->batch =
                $entities->find(Batch::class, $input->batch) ??
                throw Refused::field('batch', 'There is nothing of the kind.');
        }
        if ('' !== $input->permission) {
            $this->permission->need(SiteVoter::CARE);
            $picture->permission =
                $entities->find(SitePermission::class, $input->permission) ??
                throw Refused::field('permission', 'There is no such permission.');
        }
        if ('' !== $input->sign) {
            $sign = $entities->find(TreeSign::class, $input->sign);
            if (null === $sign || null !== $sign->takenBackAt) {
                throw Refused::field('sign', 'There is no such sign.');
            }
            [$picture->sign, $picture->specimen] = [$sign, $sign->specimen];
        }
    }

    /** @throws Refused if there is none, or it is covered: which of the two is not told */
    private function seen(string $id, User $user): Picture
    {
        $picture = $this->pictures->find($id);

        return null !== $picture && $this->pictures->shows($picture, $user)
            ? $picture
            : throw Refused::missing('There is no such picture.');
    }

    private function own(string $id, User $user): Picture
    {
        $picture = $this->seen($id, $user);
        $this->permission->need(PictureVoter::CHANGE, $picture);

        return $picture;
    }
}

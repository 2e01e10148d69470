<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\CropTable;
use App\Library\FloraLibrary;
use App\Season\Input\NewCropNote;
use App\Season\View\CropNoteView;
use App\Season\View\TreeCropView;
use App\Storage\Transaction;
use App\Trees\CoveredTrees;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Crop\CropGrade;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What hangs on a tree, and what may be expected of it. */
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
final class CropController extends ApiController
{
    /** Years of longer ago are looked up in a book. */
    private const OLDEST = 50;

    public function __construct(
        private readonly SpecimenRepository $specimens,
        private readonly CropNoteRepository $notes,
        private readonly CropOutlooks $outlooks,
        private readonly CropTable $table,
        private readonly FloraLibrary $library,
        private readonly CoveredTrees $covered,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/specimens/{id}/crops', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Its crops.', content: new Model(type: TreeCropView::class))]
    public function crops(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->view($this->tree($id), $user));
    }

    #[Route('/api/specimens/{id}/crops', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Its crops.', content: new Model(type: TreeCropView::class))]
    #[OA\Response(
        response: 409,
        description: 'That id is of another note.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function note(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewCropNote $input): JsonResponse
    {
        $tree = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $input): Specimen {
            $tree = $this->tree($id);
            $this->refuse($tree, $input, $user);
            $known = $this->notes->find($input->id);
            if (null !== $known) {
                if ($known->specimen !== $tree || $known->part !== $input->part || $known->by !== $user) {
                    throw Refused::conflict('That id is of another note.');
                }

                return $tree; // sent twice
            }
            $entities->persist(
                new CropNote(
                    $input->id,
                    $tree,
                    $input->part,
                    $input->year,
                    $input->grade,
                    $input->opened,
                    $input->sound,
                    $user,
                    $this->clock->now(),
                ),
            );

            return $tree;
        });

        return $this->json($this->view($tree, $user));
    }

    /** It stays on record, and counts no more. */
    #[Route('/api/crop-notes/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'The crops of its tree.', content: new Model(type: TreeCropView::class))]
    public function takeBack(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $tree = $this->transaction->run(function () use ($user, $id): Specimen {
            $note = $this->notes->find($id) ?? throw Refused::missing('There is no such note.');
            if (!self::mayTakeBack($note, $user)) {
                throw Refused::forbidden('Whoever saw it takes it back, or an instructor.');
            }
            $note->takenBackAt ??= $this->clock->now();

            return $note->specimen;
        });

        return $this->json($this->view($tree, $user));
    }

    private function refuse(Specimen $tree, NewCropNote $input, User $user): void
    {
        if ('' === $tree->kind || isset($this->covered->for($user)[$tree->id])) {
            throw Refused::field('part', 'Nobody has said what kind of tree it is.');
        }
        if (null === $this->table->of($tree->kind, $input->part)) {
            throw Refused::field('part', 'That kind bears no such crop.');
        }
        $now = (int) $this->clock->today()->format('Y');
        if ($input->year < $now - self::OLDEST || $input->year > $now + 1) {
            throw Refused::field('year', 'The year lies between fifty years ago and the next.');
        }
        if ($input->sound > $input->opened) {
            throw Refused::field('sound', 'More were sound than were cut open.');
        }
        if (CropGrade::None === $input->grade && $input->opened > 0) {
            throw Refused::field('opened', 'Where nothing hung, nothing was cut open.');
        }
    }

    private function tree(string $id): Specimen
    {
        return $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');
    }

    private static function mayTakeBack(CropNote $note, User $user): bool
    {
        return $note->by === $user || $user->role->mayDecide();
    }

    private function view(Specimen $tree, User $reader): TreeCropView
    {
        if ('' === $tree->kind || isset($this->covered->for($reader)[$tree->id])) {
            return new TreeCropView([], []);
        }
        $flora = $this->library->isShipped($tree->kindFlora) ? $this->library->flora($tree->kindFlora) : null;
        $parts = $flora->taxa[$tree->kind]->parts ?? [];

        return new TreeCropView(
            null === $flora || '' !== $tree->doubt || !$tree->isThere()
                ? []
                : array_values($this->outlooks->of($flora, [$tree], $reader)[$tree->id] ?? []),
            array_map(
                static fn (CropNote $n): CropNoteView => new CropNoteView(
                    $n->id,
                    isset($parts[$n->part]) ? $parts[$n->part]->label : $n->part,
                    $n->year,
                    $n->grade,
                    $n->opened,
                    $n->sound,
                    $n->by->name,
                    self::mayTakeBack($n, $reader),
                ),
                $this->notes->ofTree($tree),
            ),
        );
    }
}

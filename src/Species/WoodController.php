<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Species\Input\NewWoodNote;
use App\Species\View\WoodView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The wood book: what the floras say, and what the school found. */
#[OA\Tag('woods')]
#[OA\Response(
    response: 200,
    description: 'Woods of the flora this person works with, side by side.',
    content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: WoodView::class))),
),]
final class WoodController extends ApiController
{
    public function __construct(
        private readonly FloraLibrary $library,
        private readonly WoodBook $book,
        private readonly WoodNoteRepository $notes,
        private readonly Transaction $transaction,
        private readonly SchoolClock $clock,
    ) {
    }

    #[Route('/api/woods', methods: ['GET'])]
    public function woods(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->book->of($this->library->flora($user->flora)));
    }

    /** How a piece worked, or what it weighed. */
    #[Route('/api/woods/notes', methods: ['POST'])]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function note(#[CurrentUser] User $user, #[MapRequestPayload] NewWoodNote $input): JsonResponse
    {
        if (!isset($this->library->flora($user->flora)->taxa[$input->taxon])) {
            throw Refused::field('taxon', 'The flora has no such kind.');
        }
        $density = null;
        if (WoodWork::Weighing === $input->work) {
            if (null === $input->grams || null === $input->cubicCentimetres) {
                throw Refused::field('grams', 'Say what the piece weighs, and how large it is.');
            }
            $density = (1000 * $input->grams) / $input->cubicCentimetres;
            if ($density < 80.0 || $density > 1400.0) {
                throw Refused::field(
                    'grams',
                    \sprintf('That were %.0f kg in a cubic metre; wood has between 80 and 1400.', $density),
                );
            }
        } elseif (null === $input->ease) {
            throw Refused::field('ease', 'Say how it took to it.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input, $density): void {
            $known = $this->notes->find($input->id);
            if (null !== $known) {
                if ($known->by !== $user || $known->taxon !== $input->taxon) {
                    throw Refused::conflict('That id is of another note.');
                }

                return; // sent twice
            }
            $entities->persist(
                new WoodNote(
                    $input->id,
                    $input->taxon,
                    $input->work,
                    null === $density ? $input->ease : null,
                    $density,
                    trim($input->note),
                    $this->clock->now(),
                    $user,
                ),
            );
        });

        return $this->woods($user);
    }

    /** It stays on record, and counts no more. */
    #[Route('/api/woods/notes/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(
        response: 404,
        description: 'No such note.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function takeBack(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $this->transaction->run(function () use ($user, $id): void {
            $note = $this->notes->find($id) ?? throw Refused::missing('There is no such note.');
            if ($note->by !== $user && !$user->role->mayDecide()) {
                throw Refused::forbidden('Whoever found it takes it back, or an instructor.');
            }
            $note->takenBackAt ??= $this->clock->now();
        });

        return $this->woods($user);
    }
}

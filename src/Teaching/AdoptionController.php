<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Storage\Transaction;
use App\Teaching\Input\AdoptedNoteInput;
use App\Teaching\Input\AdoptInput;
use App\Teaching\View\AdoptedTreesView;
use App\Teaching\View\AdoptedTreeView;
use App\Trees\Gone;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** One tree, a whole year. */
#[OA\Tag('teaching')]
#[OA\Response(response: 200, description: 'The trees.', content: new Model(type: AdoptedTreesView::class))]
#[OA\Response(
    response: 404,
    description: 'No such tree.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class AdoptionController extends ApiController
{
    public function __construct(
        private readonly AdoptedTrees $adopted,
        private readonly SpecimenRepository $specimens,
        private readonly EntityManagerInterface $entities,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/adopted', methods: ['GET'])]
    public function all(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->view($user));
    }

    #[Route('/api/adopted', methods: ['POST'])]
    #[OA\Response(
        response: 409,
        description: 'It is adopted already.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function adopt(#[CurrentUser] User $user, #[MapRequestPayload] AdoptInput $input): JsonResponse
    {
        $tree = $this->specimens->find($input->tree) ?? throw Refused::field('tree', 'There is no such tree.');
        if (Gone::Not !== $tree->gone) {
            throw Refused::field('tree', 'That tree is not there any more.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input, $tree): void {
            $known = $entities->find(AdoptedTree::class, strtolower($input->id));
            if (null !== $known) {
                if ($known->by !== $user || $known->specimen !== $tree) {
                    throw Refused::conflict('That id is of something else.');
                }

                return; // sent twice
            }
            $same = $entities->getRepository(AdoptedTree::class)->findOneBy(
                ['by' => $user, 'specimen' => $tree, 'endedOn' => null],
            );
            if (null !== $same) {
                throw Refused::conflict('You look at that tree already.');
            }
            $entities->persist(new AdoptedTree(strtolower($input->id), $user, $tree, $this->clock->today()));
        });

        return $this->json($this->view($user));
    }

    #[Route('/api/adopted/{id}/note', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function note(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] AdoptedNoteInput $input,
    ): JsonResponse {
        $tree = $this->own($user, $id);
        $this->transaction->run(function () use ($tree, $input): void {
            $today = CalendarDay::iso($this->clock->today());
            $others = array_values(
                array_filter($tree->notes, static fn (array $note): bool => $note['on'] !== $today),
            );
            $text = trim($input->text);
            $tree->notes = '' === $text ? $others : [...$others, ['on' => $today, 'text' => $text]];
        });

        return $this->json($this->view($user));
    }

    /** The year is over, or given up; the album stays. */
    #[Route('/api/adopted/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function end(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $tree = $this->own($user, $id);
        $this->transaction->run(fn () => ($tree->endedOn ??= $this->clock->today()));

        return $this->json($this->view($user));
    }

    private function own(User $user, string $id): AdoptedTree
    {
        $tree = $this->entities->find(AdoptedTree::class, strtolower($id));

        return null === $tree || $tree->by !== $user
            ? throw Refused::missing('There is no such tree of yours.')
            : $tree;
    }

    private function view(User $user): AdoptedTreesView
    {
        return new AdoptedTreesView(
            array_map(
                fn (AdoptedTree $tree): AdoptedTreeView => $this->adopted->view($tree, $user),
                $this->adopted->shownTo($user),
            ),
        );
    }
}

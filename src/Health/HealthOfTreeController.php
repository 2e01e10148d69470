<?php

declare(strict_types=1);

namespace App\Health;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Health\Input\NewSign;
use App\Health\View\SeenSignView;
use App\Health\View\SignView;
use App\Health\View\TreeHealthView;
use App\Library\CareTable;
use App\Storage\Transaction;
use App\Trees\HeldKinds;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Signs of illness on a tree, and when they were seen. */
#[OA\Tag('trees')]
#[OA\Response(response: 200, description: 'How it is.', content: new Model(type: TreeHealthView::class))]
#[OA\Response(
    response: 404,
    description: 'No such tree.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class HealthOfTreeController extends ApiController
{
    public function __construct(
        private readonly TreeSignRepository $signs,
        private readonly SpecimenRepository $specimens,
        private readonly HeldKinds $kinds,
        private readonly CareTable $table,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/specimens/{id}/health', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->view($this->tree($id), $user));
    }

    #[Route('/api/specimens/{id}/health', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function tell(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewSign $input): JsonResponse
    {
        $tree = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $input): Specimen {
            $tree = $this->tree($id);
            $known = $this->signs->find($input->id);
            if (null !== $known) {
                return $known->specimen === $tree && $known->sign === $input->sign
                    ? $tree // sent twice
                    : throw Refused::conflict('That id is of something else.');
            }
            if (!isset($this->table->signs()[$input->sign])) {
                throw Refused::field('sign', 'No such sign is known here.');
            }
            $entities->persist(
                new TreeSign(
                    $input->id,
                    $tree,
                    $input->sign,
                    $input->isSeen,
                    $this->clock->today(),
                    trim($input->note),
                    $user,
                    $this->clock->now(),
                ),
            );

            return $tree;
        });

        return $this->json($this->view($tree, $user));
    }

    /** It stays on record, and counts no more. */
    #[Route(
        '/api/specimens/{id}/health/{sign}',
        requirements: ['id' => Requirement::UUID, 'sign' => Requirement::UUID],
        methods: ['DELETE'],
    )]
    public function takeBack(#[CurrentUser] User $user, string $id, string $sign): JsonResponse
    {
        $tree = $this->transaction->run(function () use ($user, $id, $sign): Specimen {
            $tree = $this->tree($id);
            $seen = $this->signs->find($sign);
            if (null === $seen || $seen->specimen !== $tree) {
                throw Refused::missing('There is no such sign on that tree.');
            }
            if (!self::mayTakeBack($seen, $user)) {
                throw Refused::forbidden('Whoever saw it takes it back, or an instructor.');
            }
            $seen->takenBackAt ??= $this->clock->now();

            return $tree;
        });

        return $this->json($this->view($tree, $user));
    }

    private static function mayTakeBack(TreeSign $sign, User $user): bool
    {
        return $sign->by === $user || $user->role->mayDecide();
    }

    private function view(Specimen $tree, User $reader): TreeHealthView
    {
        $kinds = $this->kinds->ofTree($tree, $this->kinds->hiddenFrom($reader));
        $all = $this->table->signs();
        $seen = [];
        foreach ($this->signs->ofTree($tree) as $sign) {
            if (isset($all[$sign->sign])) {
                $seen[] = new SeenSignView(
                    $sign->id,
                    SignView::of($all[$sign->sign]),
                    $sign->isSeen,
                    CalendarDay::iso($sign->on),
                    $sign->by->name,
                    $sign->note,
                    self::mayTakeBack($sign, $reader),
                );
            }
        }

        return new TreeHealthView(
            array_map(
                SignView::of(...),
                $this->table->signsOf(
                    array_map(static fn (Taxon $t): string => $t->id, $kinds),
                    [] === $kinds ? '' : $tree->kindFlora,
                ),
            ),
            $seen,
        );
    }

    private function tree(string $id): Specimen
    {
        return $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');
    }
}

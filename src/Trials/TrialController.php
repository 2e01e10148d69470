<?php

declare(strict_types=1);

namespace App\Trials;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Storage\Transaction;
use App\Trees\SpecimenRepository;
use App\Trials\Input\NewTrial;
use App\Trials\View\TrialsView;
use App\Trials\View\TrialView;
use App\Trials\View\WayFoundView;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Proportion;
use Hylognosis\Processing\Summary;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What the school tried: tinder, fire, cord, ink, bending; and which of its ways works best. */
#[OA\Tag('trials')]
#[OA\Response(response: 200, description: 'What was tried.', content: new Model(type: TrialsView::class))]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class TrialController extends ApiController
{
    private const LISTED = 100;

    public function __construct(
        private readonly TrialRepository $trials,
        private readonly SpecimenRepository $specimens,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/trials', methods: ['GET'])]
    public function all(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] TrialOf $of = TrialOf::Tinder,
    ): JsonResponse {
        return $this->json($this->view($of, $user));
    }

    #[Route('/api/trials', methods: ['POST'])]
    #[OA\Response(
        response: 409,
        description: 'That id is of another trial.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function record(#[CurrentUser] User $user, #[MapRequestPayload] NewTrial $input): JsonResponse
    {
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): void {
            $known = $this->trials->find($input->id);
            if (null !== $known) {
                if ($known->by !== $user || $known->what !== $input->what) {
                    throw Refused::conflict('That id is of another trial.');
                }

                return; // sent twice
            }
            $tree = null === $input->tree ? null : $this->specimens->find($input->tree);
            if (null !== $input->tree && null === $tree) {
                throw Refused::field('tree', 'There is no such tree.');
            }
            $entities->persist(
                new Trial(
                    $input->id,
                    $input->what,
                    trim($input->of),
                    $tree,
                    trim($input->way),
                    $input->damp,
                    $input->worked,
                    $input->seconds,
                    trim($input->note),
                    $this->clock->today(),
                    $this->clock->now(),
                    $user,
                ),
            );
        });

        return $this->json($this->view($input->what, $user));
    }

    /** It stays on record, and counts no more. */
    #[Route('/api/trials/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function takeBack(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $trial = $this->transaction->run(function () use ($user, $id): Trial {
            $trial = $this->trials->find($id) ?? throw Refused::missing('There is no such trial.');
            if (!self::mayTakeBack($trial, $user)) {
                throw Refused::forbidden('Whoever tried it takes it back, or an instructor.');
            }
            $trial->takenBackAt ??= $this->clock->now();

            return $trial;
        });

        return $this->json($this->view($trial->what, $user));
    }

    private static function mayTakeBack(Trial $trial, User $user): bool
    {
        return $trial->by === $user || $user->role->mayDecide();
    }

    private function view(TrialOf $of, User $reader): TrialsView
    {
        $trials = $this->trials->of($of);
        $groups = [];
        foreach ($trials as $trial) {
            $groups[mb_strtolower($trial->of.'|'.$trial->way).'|'.$trial->damp->value][] = $trial;
        }
        $ways = array_values(array_map(self::way(...), $groups));
        usort(
            $ways,
            static fn (WayFoundView $a, WayFoundView $b): int => [$b->least, $b->tried] <=> [$a->least, $a->tried],
        );

        return new TrialsView(
            $of,
            $ways,
            array_map(
                static fn (Trial $t): TrialView => new TrialView(
                    $t->id,
                    CalendarDay::iso($t->on),
                    $t->of,
                    $t->specimen->tag ?? '',
                    $t->way,
                    $t->damp,
                    $t->worked,
                    $t->seconds,
                    $t->note,
                    $t->by->name,
                    self::mayTakeBack($t, $reader),
                ),
                \array_slice($trials, 0, self::LISTED),
            ),
        );
    }

    /** @param non-empty-list<Trial> $trials of one stuff, one way, one dampness */
    private static function way(array $trials): WayFoundView
    {
        $worked = array_filter($trials, static fn (Trial $t): bool => $t->worked);
        $seconds = array_values(
            array_filter(
                array_map(static fn (Trial $t): ?int => $t->seconds, $worked),
                static fn (?int $s): bool => null !== $s,
            ),
        );
        [$least, $most] = Proportion::of(\count($worked), \count($trials))->wilson();

        return new WayFoundView(
            $trials[0]->of,
            $trials[0]->way,
            $trials[0]->damp,
            \count($trials),
            \count($worked),
            (int) round(100 * $least),
            (int) round(100 * $most),
            [] === $seconds ? null : Summary::of(array_map(floatval(...), $seconds))->median,
        );
    }
}

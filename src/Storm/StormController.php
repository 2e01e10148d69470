<?php

declare(strict_types=1);

namespace App\Storm;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Storage\Transaction;
use App\Storm\Input\AlarmEnd;
use App\Storm\Input\FoundAtTree;
use App\Storm\Input\NewWalk;
use App\Storm\View\StormsView;
use App\Storm\View\StormWalkView;
use App\Storm\View\TreeStormView;
use App\Trees\SiteRepository;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
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

/** The round after a storm. */
#[OA\Tag('stock')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class StormController extends ApiController
{
    /** A clock that runs ahead by so much is let pass. */
    private const AHEAD = '+10 minutes';

    public function __construct(
        private readonly StormWalkRepository $walks,
        private readonly StormStopRepository $stops,
        private readonly StormLaying $laying,
        private readonly StormBook $book,
        private readonly SiteRepository $sites,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/storms', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Storms.', content: new Model(type: StormsView::class))]
    public function all(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->book->all($user));
    }

    /** One press: the round is laid and can be walked. Anybody may raise it: it is no time to ask who may. */
    #[Route('/api/storms', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: StormWalkView::class))]
    #[OA\Response(
        response: 409,
        description: 'That id is of another walk.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function raise(#[CurrentUser] User $user, #[MapRequestPayload] NewWalk $input): JsonResponse
    {
        $walk = $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): StormWalk {
            $site = $this->sites->find($input->siteId) ?? throw Refused::field('siteId', 'There is no such place.');
            $known = $this->walks->find($input->id);
            if (null !== $known) {
                return $known->site === $site && $known->by === $user
                    ? $known // sent twice
                    : throw Refused::conflict('That id is of another walk.');
            }
            $blewAt = '' === $input->blewAt ? $this->clock->now() : $this->moment($input->blewAt);
            $laid = $this->laying->at($site, $user);
            if ([] === $laid->trees) {
                throw Refused::field(
                    'siteId',
                    'Nothing is to be gone to there: no tree reaches a pasture, and none was seen that may break.',
                );
            }
            $walk = new StormWalk(
                $input->id,
                $site,
                $blewAt,
                $input->gust,
                $laid->round->wholeSeconds,
                $user,
                $this->clock->now(),
            );
            $entities->persist($walk);
            foreach ($laid->inOrder() as $i => [$tree, $seconds]) {
                $entities->persist(
                    new StormStop(
                        $walk,
                        $tree instanceof Specimen ? $tree : null,
                        $tree instanceof Specimen ? null : $tree,
                        $laid->threatened[$tree->id] ?? null,
                        $i + 1,
                        $seconds,
                    ),
                );
            }

            return $walk;
        });

        return $this->json($this->book->walk($walk, $user));
    }

    /** What was found at one stop; sent again, it says the same. */
    #[Route('/api/storms/stops/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: StormWalkView::class))]
    public function found(#[CurrentUser] User $user, string $id, #[MapRequestPayload] FoundAtTree $input): JsonResponse
    {
        $walk = $this->transaction->run(function () use ($user, $id, $input): StormWalk {
            $stop = $this->stop($id);
            if ($this->book->isAlarm($stop, $user) && !$input->finding->isDown()) {
                throw Refused::field(
                    'finding',
                    'Something lies there. That ends only when it was cleared away or the animals were moved.',
                );
            }
            $thickness = $input->finding->hasThickness() ? $input->thickness : null;
            $changed = [$stop->finding, $stop->thickness] !== [$input->finding, $thickness];
            [$stop->finding, $stop->thickness, $stop->note] = [$input->finding, $thickness, trim($input->note)];
            if ($changed) {
                $stop->foundAt = $this->clock->now()->modify(\sprintf('-%d seconds', $input->secondsAgo));
                $stop->foundBy = $user;
                // something else came down since: that it was cleared away before says nothing of it
                [$stop->ended, $stop->endedAt, $stop->endedBy] = [null, null, null];
            }

            return $stop->walk;
        });

        return $this->json($this->book->walk($walk, $user));
    }

    #[Route('/api/storms/stops/{id}/end', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: StormWalkView::class))]
    public function end(#[CurrentUser] User $user, string $id, #[MapRequestPayload] AlarmEnd $input): JsonResponse
    {
        $walk = $this->transaction->run(function () use ($user, $id, $input): StormWalk {
            $stop = $this->stop($id);
            if (true !== $stop->finding?->isDown()) {
                throw Refused::field('how', 'Nothing was found there that could be cleared away.');
            }
            if ($input->how !== $stop->ended) {
                [$stop->ended, $stop->endedAt, $stop->endedBy] = [$input->how, $this->clock->now(), $user];
            }

            return $stop->walk;
        });

        return $this->json($this->book->walk($walk, $user));
    }

    /** It was pressed by mistake: the alarm is open again. */
    #[Route('/api/storms/stops/{id}/end', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'The walk.', content: new Model(type: StormWalkView::class))]
    public function reopen(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $walk = $this->transaction->run(function () use ($id): StormWalk {
            $stop = $this->stop($id);
            [$stop->ended, $stop->endedAt, $stop->endedBy] = [null, null, null];

            return $stop->walk;
        });

        return $this->json($this->book->walk($walk, $user));
    }

    /** How one tree came through all storms on record. */
    #[Route('/api/specimens/{id}/storms', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The last first.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: TreeStormView::class))),
    )]
    public function ofTree(SpecimenRepository $specimens, string $id): JsonResponse
    {
        $tree = $specimens->find($id) ?? throw Refused::missing('There is no such tree.');

        return $this->json(
            array_map(
                static fn (StormStop $s): TreeStormView => new TreeStormView(
                    $s->walk->blewAt->format(\DATE_ATOM),
                    $s->walk->gust,
                    $s->finding,
                    $s->note,
                    $s->ended,
                ),
                $this->stops->ofTree($tree),
            ),
        );
    }

    private function stop(string $id): StormStop
    {
        return $this->stops->find($id) ?? throw Refused::missing('There is no such stop.');
    }

    private function moment(string $text): \DateTimeImmutable
    {
        try {
            $moment = (new \DateTimeImmutable($text))->setTimezone($this->clock->now()->getTimezone());
        } catch (\Exception) {
            throw Refused::field('blewAt', 'There is no such moment.');
        }

        return $moment > $this->clock->now()->modify(self::AHEAD)
            ? throw Refused::field('blewAt', 'That is still to come.')
            : $moment;
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Learning\Input\PracticeInput;
use App\Learning\View\PracticeResultView;
use App\Learning\View\PracticeRowView;
use App\Learning\View\PracticeView;
use App\Library\FloraRefused;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\UnknownEntry;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Practice trees. */
#[OA\Tag('learning')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class PracticeController extends ApiController
{
    /** As many lots as six letters of base 36 hold, and no more than a whole number of 31 bits. */
    private const LOTS = 2_000_000_000;

    public function __construct(
        private readonly PracticeDesk $desk,
        private readonly PracticeAnswerRepository $answers,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
        private readonly SchoolTrees $trees,
        /** @var iterable<PractisedTrees> */
        #[AutowireIterator(PractisedTrees::class)] private readonly iterable $told,
    ) {
    }

    /** Draws a tree: of this month, or of the one that is asked for. */
    #[Route('/api/practice', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The tree.', content: new Model(type: PracticeView::class))]
    public function draw(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] int $month = 0,
        #[OA\QueryParameter(description: 'a part all of it is about, "taxon/part"; or "school": a tree of its own')]
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $for = '',
    ): JsonResponse {
        if ($month < 0 || $month > 12) {
            throw Refused::field('month', 'A month is 1 to 12.');
        }
        $month = 0 === $month ? (int) $this->clock->today()->format('n') : $month;

        if ('school' === $for) {
            $codes = $this->trees->codes($user);
            if ([] === $codes) {
                throw Refused::field('for', 'No tree of the school is examined well enough to practise on.');
            }

            return $this->json($this->desk->view(PracticeCode::parse($codes[random_int(0, \count($codes) - 1)])));
        }
        [$taxon, $part] = explode('/', $for, 2) + ['', ''];
        try {
            return $this->json(
                $this->desk->view(new PracticeCode($user->flora, $month, random_int(0, self::LOTS), $taxon, $part)),
            );
        } catch (UnknownEntry) {
            throw Refused::field('for', 'There is no such part of such a kind.');
        }
    }

    /** What one has practised, the last first. */
    #[Route('/api/practice/answers', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The answers.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: PracticeRowView::class))),
    )]
    public function answered(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json(array_map(PracticeRowView::of(...), $this->answers->of($user)));
    }

    #[Route('/api/practice/{code}', requirements: ['code' => PracticeCode::PATTERN], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The tree.', content: new Model(type: PracticeView::class))]
    public function show(string $code): JsonResponse
    {
        try {
            return $this->json($this->desk->view(PracticeCode::parse($code)));
        } catch (FloraRefused|UnknownEntry) {
            throw Refused::missing('There is no such flora, kind or part here.');
        }
    }

    /** What it is, and what one would do: answered once, the tree is uncovered. */
    #[Route('/api/practice/{code}', requirements: ['code' => PracticeCode::PATTERN], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'What it was.', content: new Model(type: PracticeResultView::class))]
    #[OA\Response(
        response: 409,
        description: 'That id is of another answer.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function answer(
        #[CurrentUser] User $user,
        string $code,
        #[MapRequestPayload] PracticeInput $input,
    ): JsonResponse {
        try {
            [$answer, $view, $readings] = $this->desk->marked(PracticeCode::parse($code), $input, $user);
        } catch (FloraRefused|UnknownEntry) {
            throw Refused::missing('There is no such flora, kind or part here.');
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $answer, $readings): void {
            $known = $this->answers->find($answer->id);
            if (null !== $known) {
                if ($known->by !== $user || $known->code !== $answer->code) {
                    throw Refused::conflict('That id is of another answer.');
                }

                return; // sent twice
            }
            // answered a second time it is no news what it is: that is not counted
            $again = null !== $this->answers->findOneBy(['by' => $user, 'code' => $answer->code]);
            $entities->persist($answer);
            foreach ($again ? [] : $readings as $reading) {
                $entities->persist($reading);
            }
            foreach ($again ? [] : $this->told as $told) {
                $told->practised($answer);
            }
        });

        return $this->json($view);
    }
}

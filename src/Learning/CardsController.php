<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Learning\View\CardView;
use App\Learning\View\QuizQuestionView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Flora\UnknownEntry;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Cards and quizzes for the printer. */
#[OA\Tag('learning')]
#[OA\Response(
    response: 422,
    description: 'No such deck or kind.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class CardsController extends ApiController
{
    private const MOST_SEED = 999_999;

    public function __construct(private readonly CardPress $press)
    {
    }

    #[Route('/api/cards', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The cards of a deck.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: CardView::class))),
    )]
    public function deck(
        #[CurrentUser] User $user,
        #[OA\QueryParameter(description: '"pairs" or "twigs"')]
        #[MapQueryParameter(validationFailedStatusCode: 422)]
        string $deck = 'pairs',
        #[OA\QueryParameter(description: 'pairs of this kind only')]
        #[MapQueryParameter(validationFailedStatusCode: 422)]
        string $taxon = '',
        #[MapQueryParameter(validationFailedStatusCode: 422)] int $seed = 1,
    ): JsonResponse {
        self::check($seed);
        try {
            return $this->json(
                match ($deck) {
                    'pairs' => $this->press->pairs($user->flora, $taxon, $seed),
                    'twigs' => $this->press->twigs($user->flora, $seed),
                    default => throw Refused::field('deck', 'A deck is "pairs" or "twigs".'),
                },
            );
        } catch (UnknownEntry) {
            throw Refused::field('taxon', 'There is no such kind in your flora.');
        }
    }

    #[Route('/api/quiz', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The questions, with their answers.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: QuizQuestionView::class))),
    )]
    public function quiz(
        #[CurrentUser] User $user,
        #[OA\QueryParameter(description: 'the same seed asks the same')]
        #[MapQueryParameter(validationFailedStatusCode: 422)]
        int $seed = 1,
        #[OA\QueryParameter(description: 'a sort of drill; empty: of each')]
        #[MapQueryParameter(validationFailedStatusCode: 422)]
        string $kind = '',
    ): JsonResponse {
        self::check($seed);
        $of = '' === $kind ? null : DrillKind::tryFrom($kind) ?? throw Refused::field('kind', 'No such sort of drill.');

        return $this->json($this->press->quiz($user->flora, $seed, $of));
    }

    private static function check(int $seed): void
    {
        if ($seed < 0 || $seed > self::MOST_SEED) {
            throw Refused::field('seed', \sprintf('A seed is 0 to %d.', self::MOST_SEED));
        }
    }
}

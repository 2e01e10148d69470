<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Learning\Input\DrillAnswer;
use App\Learning\View\DrillChoiceView;
use App\Learning\View\DrillItemView;
use App\Learning\View\DrillResultView;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Examination\Certainty;
use Hylognosis\Learning\Reading;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Drills of two minutes. */
#[OA\Tag('learning')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class DrillController extends ApiController
{
    public function __construct(
        private readonly Drills $drills,
        private readonly DrillDeck $deck,
        private readonly DrillCardRepository $cards,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    /** What is due, and what this person confuses. */
    #[Route('/api/drills', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Two minutes of questions.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: DrillItemView::class))),
    )]
    public function next(
        #[CurrentUser] User $user,
        #[MapQueryParameter(validationFailedStatusCode: 422)] ?DrillKind $kind = null,
    ): JsonResponse {
        return $this->json(
            array_map(static fn (DrillItem $item): DrillItemView => $item->view, $this->drills->next($user, $kind)),
        );
    }

    #[Route('/api/drills/answers', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'How it was.', content: new Model(type: DrillResultView::class))]
    public function answer(#[CurrentUser] User $user, #[MapRequestPayload] DrillAnswer $input): JsonResponse
    {
        $item = $this->deck->item($user->flora, $input->card, $input->lot);
        if (null === $item) {
            throw Refused::field('card', 'That is no question of the flora you work with.');
        }
        $character = $this->library->flora($user->flora)->characters[$item->trait] ?? null;
        $isNumber = [] === $item->view->choices;
        if ($isNumber && !is_numeric($input->answer)) {
            throw Refused::field('answer', 'A number is wanted.');
        }
        $reading = new Reading(
            $item->trait,
            $item->true,
            [$isNumber ? (float) $input->answer : $input->answer],
            $input->certainty,
            $this->clock->now(),
        );
        $isRight = $isNumber && null !== $character ? $reading->isRight($character) : $input->answer === $item->answer;
        $today = $this->clock->today();
        $card = $this->transaction->run(function (EntityManagerInterface $entities) use (
            $user,
            $input,
            $item,
            $reading,
            $isRight,
            $today,
        ): DrillCard {
            $card = $this->cards->of($user)[$input->card] ?? null;
            if (null === $card) {
                $card = new DrillCard($user, $input->card, $today);
                $entities->persist($card);
            }
            $card->answered(self::quality($isRight, $input->certainty), $today);
            if ('' !== $item->trait) {
                $entities->persist(
                    new LearnerReading(
                        $user,
                        $user->flora,
                        $item->trait,
                        $reading->true,
                        $reading->read,
                        $input->certainty,
                        $isRight,
                        $reading->at,
                    ),
                );
            }

            return $card;
        });
        $labels = array_column(
            array_map(static fn (DrillChoiceView $c): array => [$c->id, $c->label], $item->view->choices),
            1,
            0,
        );

        return $this->json(
            new DrillResultView(
                $isRight,
                $labels[$item->answer] ?? trim($item->answer.' '.$item->view->unit),
                $item->why,
                CalendarDay::iso($card->dueOn),
            ),
        );
    }

    /** How well it was remembered, 0 to 5: wrong and sure is the worst there is. */
    private static function quality(bool $isRight, Certainty $certainty): int
    {
        return match ($certainty) {
            Certainty::Sure => $isRight ? 5 : 0,
            Certainty::Likely => $isRight ? 4 : 1,
            Certainty::Unsure => $isRight ? 3 : 2,
        };
    }
}

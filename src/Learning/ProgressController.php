<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Account\UserRepository;
use App\Exchange\Csv;
use App\Learning\View\CharacterConfusionsView;
use App\Learning\View\FieldAgreementView;
use App\Learning\View\ProgressView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What somebody confuses. Seen by himself and by instructors; taken out, and thrown away, by himself. */
#[OA\Tag('learning')]
final class ProgressController extends ApiController
{
    private const COLUMNS = ['read_at', 'flora', 'character', 'true', 'read', 'certainty', 'right'];

    public function __construct(
        private readonly Progress $progress,
        private readonly LearnerReadingRepository $readings,
        private readonly UserRepository $users,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/learning', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'One’s own.', content: new Model(type: ProgressView::class))]
    public function own(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->progress->of($user));
    }

    #[Route('/api/learning/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Somebody’s.', content: new Model(type: ProgressView::class))]
    #[OA\Response(
        response: 403,
        description: 'It is not yours to see.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function ofPerson(#[CurrentUser] User $user, string $id): JsonResponse
    {
        if ($id !== $user->id && !$user->role->mayDecide()) {
            throw Refused::forbidden('What somebody confuses is seen by himself and by instructors.');
        }

        return $this->json(
            $this->progress->of($this->users->find($id) ?? throw Refused::missing('There is no such person.')),
        );
    }

    /** Pooled and without names. A character that half the school misreads is badly taught or badly drawn. */
    #[Route('/api/learning/school', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The most misread first.',
        content: new OA\JsonContent(
            type: 'array',
            items: new OA\Items(ref: new Model(type: CharacterConfusionsView::class)),
        ),
    )]
    #[OA\Response(
        response: 403,
        description: 'That is for instructors.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function ofSchool(#[CurrentUser] User $user): JsonResponse
    {
        if (!$user->role->mayDecide()) {
            throw Refused::forbidden('What the school misreads is seen by instructors.');
        }

        return $this->json($this->progress->ofSchool($user->flora));
    }

    /** What several people scored on the same trees, by signed examinations. */
    #[Route('/api/learning/agreement', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Who agrees.', content: new Model(type: FieldAgreementView::class))]
    #[OA\Response(
        response: 403,
        description: 'That is for instructors.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function agreement(#[CurrentUser] User $user, FieldAgreement $agreement): JsonResponse
    {
        if (!$user->role->mayDecide()) {
            throw Refused::forbidden('How far people agree is seen by instructors.');
        }

        return $this->json($agreement->of($user));
    }

    #[Route('/api/learning.csv', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'One’s own readings.',
        content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')),
    )]
    public function export(#[CurrentUser] User $user): Response
    {
        $text = Csv::line(self::COLUMNS);
        foreach ($this->readings->of($user) as $r) {
            $text .= Csv::line([
                $r->at->format(\DATE_ATOM),
                $r->flora,
                $r->trait,
                implode('|', array_map(strval(...), $r->true)),
                implode('|', array_map(strval(...), $r->read)),
                $r->certainty->value,
                $r->isRight,
            ]);
        }

        return new Response($text, headers: [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="readings.csv"',
        ]);
    }

    /** All one has practised and been drilled on, for good. */
    #[Route('/api/learning', methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'Nothing is left.', content: new Model(type: ProgressView::class))]
    public function forget(#[CurrentUser] User $user): JsonResponse
    {
        $this->transaction->run(static function (EntityManagerInterface $entities) use ($user): void {
            foreach ([LearnerReading::class, PracticeAnswer::class, DrillCard::class, Mnemonic::class] as $class) {
                $entities
                    ->createQuery("DELETE FROM $class x WHERE x.by = :user")
                    ->setParameter('user', $user)
                    ->execute();
            }
        });

        return $this->json($this->progress->of($user));
    }
}

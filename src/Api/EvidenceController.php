<?php

declare(strict_types=1);

namespace App\Api;

use App\Api\View\AssessmentView;
use App\Api\View\ContrastView;
use App\Api\View\EvidenceView;
use App\Entity\User;
use App\Exchange\StoredExaminations;
use App\Repository\ExaminationRepository;
use Hylognosis\Flora\UnknownEntry;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('examinations')]
final class EvidenceController extends AbstractController
{
    public function __construct(private readonly ExaminationRepository $examinations, private readonly StoredExaminations $stored)
    {
    }

    /** What was seen, weighed for any one taxon against any other. */
    #[Route('/api/examinations/{id}/evidence/{for}/{against}', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Each score with its weight; the weights add up to the odds.', content: new Model(type: ContrastView::class))]
    #[OA\Response(response: 404, description: 'No such examination or taxon.', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))]
    public function __invoke(#[CurrentUser] User $user, string $id, string $for, string $against): JsonResponse
    {
        $record = $this->examinations->find($id) ?? throw Refused::missing('There is no such examination.');
        if ($record->examiner !== $user && (!$record->isSigned() || $this->examinations->isLookingBlind($user, $record->specimen))) {
            throw Refused::forbidden('This examination cannot be read by you now.');
        }
        if ($record->hidesNames()) {
            throw Refused::forbidden('The names are covered; uncover them first.');
        }
        $identification = $this->stored->assess($record)->identification;
        try {
            $flora = $identification->compiled->flora;
            $evidence = AssessmentView::evidence($identification, $flora->taxon($for)->id, $flora->taxon($against)->id);
        } catch (UnknownEntry $e) {
            throw Refused::missing($e->getMessage());
        }

        return $this->json(new ContrastView($for, $against, array_sum(array_map(static fn (EvidenceView $e): float => $e->decibans, $evidence)), $evidence));
    }
}

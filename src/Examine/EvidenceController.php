<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Examine\View\AssessmentView;
use App\Examine\View\ContrastView;
use App\Examine\View\EvidenceView;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('examinations')]
final class EvidenceController extends ApiController
{
    public function __construct(private readonly ExaminationReading $reading, private readonly StoredExaminations $stored, private readonly Permission $permission)
    {
    }

    /** What was seen, weighed for any one taxon against any other. */
    #[Route('/api/examinations/{id}/evidence/{for}/{against}', requirements: ['id' => Requirement::UUID, 'for' => '[a-z0-9-]{1,64}', 'against' => '[a-z0-9-]{1,64}'], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Each score with its weight; the weights add up to the odds.', content: new Model(type: ContrastView::class))]
    #[OA\Response(response: 404, description: 'No such examination or taxon.', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))]
    public function __invoke(#[CurrentUser] User $user, string $id, string $for, string $against): JsonResponse
    {
        $record = $this->reading->read($user, $id);
        $this->permission->need(ExaminationVoter::WEIGH, $record);
        $identification = $this->stored->assess($record)->identification;
        try {
            $flora = $identification->compiled->flora;
            $evidence = AssessmentView::evidence($identification, new English($flora, Units::from($user->units)), $flora->taxon($for)->id, $flora->taxon($against)->id);
        } catch (UnknownEntry $e) {
            throw Refused::missing($e->getMessage());
        }

        return $this->json(new ContrastView($for, $against, array_sum(array_map(static fn (EvidenceView $e): float => $e->decibans, $evidence)), $evidence));
    }
}

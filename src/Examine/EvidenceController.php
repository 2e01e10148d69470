<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Examine\View\AccountView;
use App\Examine\View\ClearanceView;
use App\Examine\View\ContrastView;
use App\Examine\View\DangerAccountView;
use App\Examine\View\EvidenceView;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What an answer leans on, asked for piece by piece: what the screen does not show is not sent with each score. */
#[OA\Tag('examinations')]
#[OA\Response(
    response: 404,
    description: 'There is no such thing.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class EvidenceController extends ApiController
{
    private const TAXON = '[a-z0-9-]{1,64}';

    public function __construct(
        private readonly ExaminationReading $reading,
        private readonly StoredExaminations $stored,
        private readonly ExaminationPage $page,
        private readonly Permission $permission,
    ) {
    }

    /** The nine points of the gate, with a line for each feature, danger and condition. */
    #[Route('/api/examinations/{id}/points', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The answer and all nine points.',
        content: new Model(type: ClearanceView::class),
    )]
    public function points(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json(
            $this->page->points($this->reading->read($user, $id), $user) ??
                throw Refused::missing('The gate has not been asked for anything here.'),
        );
    }

    /** All that speaks against a dangerous taxon, line by line, with who has read the lines. */
    #[Route(
        '/api/examinations/{id}/dangers/{taxon}',
        requirements: ['id' => Requirement::UUID, 'taxon' => self::TAXON],
        methods: ['GET'],
    )]
    #[OA\Response(
        response: 200,
        description: 'The danger and what excludes it.',
        content: new Model(type: DangerAccountView::class),
    )]
    public function danger(#[CurrentUser] User $user, string $id, string $taxon): JsonResponse
    {
        $assessment = $this->weighed($user, $id);
        foreach ($assessment->dangers as $report) {
            if ($report->danger->taxon->id === $taxon) {
                return $this->json(DangerAccountView::of($report, $assessment->identification->compiled->flora));
            }
        }
        throw Refused::missing(\sprintf('"%s" is not among the dangers here.', $taxon));
    }

    /** What was seen, weighed for any one taxon against any other. */
    #[Route(
        '/api/examinations/{id}/evidence/{for}/{against}',
        requirements: ['id' => Requirement::UUID, 'for' => self::TAXON, 'against' => self::TAXON],
        methods: ['GET'],
    )]
    #[OA\Response(
        response: 200,
        description: 'Each score with its weight; the weights add up to the odds.',
        content: new Model(type: ContrastView::class),
    )]
    public function evidence(#[CurrentUser] User $user, string $id, string $for, string $against): JsonResponse
    {
        $identification = $this->weighed($user, $id)->identification;
        try {
            $flora = $identification->compiled->flora;
            $evidence = AccountView::evidence(
                $identification,
                new English($flora, Units::from($user->units)),
                $flora->taxon($for)->id,
                $flora->taxon($against)->id,
            );
        } catch (UnknownEntry $e) {
            throw Refused::missing($e->getMessage());
        }

        return $this->json(
            new ContrastView(
                $for,
                $against,
                array_sum(array_map(static fn (EvidenceView $e): float => $e->decibans, $evidence)),
                $evidence,
            ),
        );
    }

    /** @throws Refused if this person may not know yet what speaks for which name */
    private function weighed(User $user, string $id): Assessment
    {
        $record = $this->reading->read($user, $id);
        $this->permission->need(ExaminationVoter::WEIGH, $record);

        return $this->stored->assess($record);
    }
}

<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\Decisions;
use App\Examine\ExaminationPage;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\StoredExaminations;
use App\Examine\View\ExaminationView;
use App\Harvest\Input\NewHarvest;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('harvest')]
final class HarvestController extends ApiController
{
    /** Logs what was taken, under the decision of this moment: the gate is asked anew. */
    #[Route('/api/examinations/{id}/harvests', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'The examination with what was taken.',
        content: new Model(type: ExaminationView::class),
    )]
    #[OA\Response(
        response: 409,
        description: 'The gate is not open; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    #[OA\Response(
        response: 422,
        description: 'Something in it cannot be taken; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function take(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] NewHarvest $input,
        ExaminationRepository $examinations,
        StoredExaminations $stored,
        Decisions $decisions,
        ExaminationPage $page,
        Transaction $transaction,
        Permission $permission,
        SchoolClock $clock,
    ): JsonResponse {
        $record = $transaction->run(static function (EntityManagerInterface $entities) use (
            $user,
            $id,
            $input,
            $examinations,
            $stored,
            $decisions,
            $permission,
            $clock,
        ): ExaminationRecord {
            $record =
                $examinations->find($id, LockMode::PESSIMISTIC_WRITE) ??
                throw Refused::missing('There is no such examination.');
            $permission->need(HarvestVoter::TAKE, $record);
            if (!$record->isSigned()) {
                throw Refused::conflict('Sign the examination first.');
            }
            $assessment = $stored->assess($record);
            $clearance = $assessment->clearance;
            if (null === $clearance || !$clearance->isCleared()) {
                throw Refused::conflict(
                    'The gate is not open: '.
                        (null === $clearance
                            ? 'nothing was asked for.'
                            : (new English($stored->flora($record), Units::from($user->units)))->sentence(
                                $clearance->because,
                            )),
                );
            }
            $decision = $decisions->record($record, $user, $assessment);
            $entities->persist(
                new HarvestRecord(
                    $decision,
                    $user,
                    $clock->today(),
                    $input->amount,
                    $input->unit,
                    $input->ripeness,
                    $input->shareLeft,
                    $input->note,
                    $clock->now(),
                ),
            );

            return $record;
        });

        return $this->json($page->of($record, $user));
    }
}

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
use App\Harvest\Input\Correction;
use App\Harvest\Input\NewHarvest;
use App\Harvest\View\HarvestsView;
use App\Harvest\View\HarvestView;
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
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
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
    ),]
    #[OA\Response(
        response: 409,
        description: 'The gate is not open; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'Something in it cannot be taken; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
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
            $harvest = new HarvestRecord(
                $decision,
                $user,
                $clock->today(),
                $input->amount,
                $input->unit,
                $input->ripeness,
                $input->shareLeft,
                $input->note,
                $clock->now(),
            );
            $harvest->count($input->minutes, $input->opened, $input->sound, $input->countBy);
            $entities->persist($harvest);

            return $record;
        });

        return $this->json($page->of($record, $user));
    }

    #[Route('/api/harvests', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What was taken.', content: new Model(type: HarvestsView::class))]
    public function log(
        HarvestLog $log,
        #[MapQueryParameter(validationFailedStatusCode: 422)] GroupBy $by = GroupBy::Kind,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $taxon = '',
    ): JsonResponse {
        return $this->json($log->grouped($by, $taxon));
    }

    /** What stood there stays on record, with who changed it and why. */
    #[Route('/api/harvests/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'What was taken.', content: new Model(type: HarvestView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such harvest.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'Something in it cannot be; nothing was changed.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function correct(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] Correction $input,
        HarvestRepository $harvests,
        HarvestLog $log,
        Transaction $transaction,
        SchoolClock $clock,
    ): JsonResponse {
        $harvest = $transaction->run(static function () use ($user, $id, $input, $harvests, $clock): HarvestRecord {
            $harvest = $harvests->find($id) ?? throw Refused::missing('There is no such harvest.');
            if ($harvest->takenBy !== $user && !$user->role->mayDecide()) {
                throw Refused::forbidden('Whoever took it corrects it, or an instructor.');
            }
            $harvest->corrections->add(
                new HarvestCorrection(
                    $harvest,
                    [
                        'amount' => $harvest->amount,
                        'unit' => $harvest->unit->value,
                        'ripeness' => $harvest->ripeness,
                        'share_left' => $harvest->shareLeft,
                        'note' => $harvest->note,
                        'minutes' => $harvest->minutes,
                        'opened' => $harvest->opened,
                        'sound' => $harvest->sound,
                        'count_by' => $harvest->countBy->value,
                    ],
                    trim($input->because),
                    $clock->now(),
                    $user,
                ),
            );
            [$harvest->amount, $harvest->unit] = [$input->amount, $input->unit];
            [$harvest->ripeness, $harvest->shareLeft, $harvest->note] = [
                $input->ripeness,
                $input->shareLeft,
                $input->note,
            ];
            $harvest->count($input->minutes, $input->opened, $input->sound, $input->countBy);

            return $harvest;
        });

        return $this->json($log->view($harvest));
    }
}

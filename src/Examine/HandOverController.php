<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\User;
use App\Account\UserRepository;
use App\Account\View\PersonView;
use App\Clock\SchoolClock;
use App\Examine\Input\HandOver;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\DBAL\LockMode;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('examinations')]
final class HandOverController extends ApiController
{
    public function __construct(
        private readonly ExaminationRepository $examinations,
        private readonly UserRepository $people,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
    ) {
    }

    /**
     * Somebody else goes on with an unfinished examination: its examiner hands it over, or an instructor does for one
     * who has left. Where a learner has looked, it stays a learner's.
     */
    #[Route('/api/examinations/{id}/hand-over', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Who has it now.', content: new Model(type: PersonView::class))]
    #[OA\Response(
        response: 409,
        description: 'It is signed, or whoever is to have it may not.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function __invoke(#[CurrentUser] User $user, string $id, #[MapRequestPayload] HandOver $input): JsonResponse
    {
        $to = $this->transaction->run(function () use ($user, $id, $input): User {
            $record =
                $this->examinations->find($id, LockMode::PESSIMISTIC_WRITE) ??
                throw Refused::missing('There is no such examination.');
            $this->permission->need(ExaminationVoter::HAND_OVER, $record);
            $to = $this->people->find($input->to) ?? throw Refused::field('to', 'Nobody here has this id.');
            if ($record->isSigned()) {
                throw Refused::conflict('This examination is signed; there is nothing to go on with.');
            }
            if (null !== $record->secondOf) {
                throw Refused::conflict('A second look is one person’s own. Let somebody else begin theirs.');
            }
            if ($to->hasLeft() || !$to->role->mayExamine() || $to === $record->examiner) {
                throw Refused::field('to', \sprintf('%s cannot go on with it.', $to->name));
            }
            $this->deeds->note(
                $user,
                DeedKind::HandedOver,
                $record->specimen->tag,
                \sprintf('from %s to %s', $record->examiner->name, $to->name),
            );
            $record->handOver($to, $this->clock->today());

            return $to;
        });

        return $this->json(PersonView::of($to));
    }
}

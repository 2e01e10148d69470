<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Input\PoisonCentre;
use App\School\School;
use App\School\SchoolRepository;
use App\School\View\SchoolView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What is entered once for everybody at the school. */
#[OA\Tag('people')]
final class SchoolController extends ApiController
{
    /** The number of the poison centre: it stands wherever something harms. */
    #[Route('/api/school/poison-centre', methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The school.', content: new Model(type: SchoolView::class))]
    #[OA\Response(
        response: 403,
        description: 'Not an instructor.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    #[OA\Response(
        response: 422,
        description: 'That is no number.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function poisonCentre(
        #[CurrentUser] User $user,
        #[MapRequestPayload] PoisonCentre $input,
        SchoolRepository $schools,
        DeedRepository $deeds,
        Permission $permission,
        Transaction $transaction,
    ): JsonResponse {
        $permission->need(PeopleVoter::CARE);

        return $this->json(
            SchoolView::of(
                $transaction->run(static function () use ($user, $input, $schools, $deeds): School {
                    $school = $schools->ours() ?? throw Refused::missing('The school has not begun.');
                    $school->poisonCentre = trim($input->number);
                    $deeds->note($user, DeedKind::PoisonCentre, $school->poisonCentre);

                    return $school;
                }),
            ),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\SessionPage;
use App\Account\User;
use App\Account\View\SessionView;
use App\Demo\Input\DemoDay;
use App\Storage\SettingRepository;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('session')]
final class DayController extends ApiController
{
    #[Route('/api/demo/day', methods: ['PUT'])]
    #[OA\Response(
        response: 200,
        description: 'The demo now takes this day for today.',
        content: new Model(type: SessionView::class),
    )]
    public function day(
        #[CurrentUser] User $user,
        #[MapRequestPayload] DemoDay $input,
        SettingRepository $settings,
        Transaction $transaction,
        SessionPage $page,
        #[Autowire('%env(bool:APP_DEMO)%')] bool $demo,
    ): JsonResponse {
        if (!$demo) {
            throw Refused::missing('The day can be set in the demo only.');
        }
        $transaction->run(static fn () => $settings->put(DemoClock::DAY, $input->day));

        return $this->json($page->of($user));
    }
}

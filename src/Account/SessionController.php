<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Input\DemoDay;
use App\Account\Input\Preferences;
use App\Account\View\DemoAccountView;
use App\Account\View\PersonView;
use App\Account\View\SessionView;
use App\Clock\SchoolClock;
use App\Demo\DemoSchool;
use App\Library\FloraLibrary;
use App\Storage\SettingRepository;
use App\Storage\Transaction;
use App\Web\ApiProblemListener;
use App\Web\Health;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('session')]
final class SessionController extends AbstractController
{
    public function __construct(private readonly SchoolClock $clock, private readonly UserRepository $users, private readonly Transaction $transaction, private readonly FloraLibrary $library)
    {
    }

    #[Route('/api/health', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The application runs.')]
    #[OA\Response(response: 503, description: 'It cannot do its work.', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))]
    public function health(Health $health): JsonResponse
    {
        $troubles = $health->troubles();

        return [] === $troubles ? $this->json(['status' => 'ok']) : ApiProblemListener::problem(503, implode(' ', $troubles), [], []);
    }

    #[Route('/api/session', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Who is signed in, and what day it is.', content: new Model(type: SessionView::class))]
    public function session(#[CurrentUser] ?User $user): JsonResponse
    {
        return $this->json($this->view($user));
    }

    /** Signs in; the body is read by the firewall. */
    #[Route('/api/login', name: 'api_login', methods: ['POST'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email', 'password'], properties: [new OA\Property('email', type: 'string'), new OA\Property('password', type: 'string')]))]
    #[OA\Response(response: 200, description: 'Signed in.', content: new Model(type: SessionView::class))]
    #[OA\Response(response: 401, description: 'Wrong e-mail or password, or too many attempts.', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))]
    public function login(#[CurrentUser] ?User $user): JsonResponse
    {
        // The firewall reads JSON only; whatever else came is nobody's sign-in.
        return null === $user ? ApiProblemListener::problem(415, 'Send e-mail and password as JSON.', [], []) : $this->json($this->view($user));
    }

    #[Route('/api/preferences', methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'Kept.', content: new Model(type: SessionView::class))]
    public function preferences(#[CurrentUser] User $user, #[MapRequestPayload] Preferences $input): JsonResponse
    {
        if (null !== $input->flora && !\in_array($input->flora, $this->library->names(), true)) {
            throw Refused::field('flora', \sprintf('There is no flora "%s"; there are: %s.', $input->flora, implode(', ', $this->library->names())));
        }
        $this->transaction->run(static function () use ($user, $input): void {
            $user->units = $input->units;
            $user->flora = $input->flora ?? $user->flora;
        });

        return $this->json($this->view($user));
    }

    #[Route('/api/demo/day', methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'The demo now takes this day for today.', content: new Model(type: SessionView::class))]
    public function day(#[CurrentUser] User $user, #[MapRequestPayload] DemoDay $input, SettingRepository $settings): JsonResponse
    {
        if (!$this->clock->isDemo()) {
            throw Refused::missing('The day can be set in the demo only.');
        }
        $this->transaction->run(static fn () => $settings->put(SchoolClock::DEMO_DAY, $input->day));

        return $this->json($this->view($user));
    }

    private function view(?User $user): SessionView
    {
        $accounts = [];
        if ($this->clock->isDemo() && null === $user) {
            foreach ($this->users->findBy([], ['id' => 'ASC']) as $account) {
                $accounts[] = new DemoAccountView($account->email, DemoSchool::PASSWORD, $account->name, $account->role->value);
            }
        }

        return new SessionView(null === $user ? null : PersonView::of($user), $this->clock->isDemo(), $this->clock->today()->format('Y-m-d'), $accounts);
    }
}

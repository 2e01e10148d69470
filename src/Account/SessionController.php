<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Input\PasswordChange;
use App\Account\Input\Preferences;
use App\Account\View\SessionView;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\ApiProblemListener;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('session')]
final class SessionController extends ApiController
{
    public function __construct(
        private readonly SessionPage $page,
        private readonly Transaction $transaction,
        private readonly FloraLibrary $library,
        private readonly Security $security,
    ) {
    }

    #[Route('/api/session', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'Who is signed in, and what day it is.',
        content: new Model(type: SessionView::class),
    )]
    public function session(#[CurrentUser] ?User $user): JsonResponse
    {
        return $this->json($this->page->of($user));
    }

    /** Signs in; the body is read by the firewall. */
    #[Route('/api/login', name: 'api_login', methods: ['POST'])]
    #[OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['email', 'password'],
            properties: [new OA\Property('email', type: 'string'), new OA\Property('password', type: 'string')],
        ),
    )]
    #[OA\Response(response: 200, description: 'Signed in.', content: new Model(type: SessionView::class))]
    #[OA\Response(
        response: 401,
        description: 'Wrong e-mail or password, or too many attempts.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function login(#[CurrentUser] ?User $user): JsonResponse
    {
        // The firewall reads JSON only; whatever else came is nobody's sign-in.
        return null === $user
            ? ApiProblemListener::problem(415, 'Send e-mail and password as JSON.', [], [])
            : $this->json($this->page->of($user));
    }

    /** Changes the password; everywhere else one is signed out. */
    #[Route('/api/password', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Changed.', content: new Model(type: SessionView::class))]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function password(
        #[CurrentUser] User $user,
        #[MapRequestPayload] PasswordChange $input,
        UserPasswordHasherInterface $hasher,
        DeedRepository $deeds,
        SignInLimiter $limiter,
        Request $request,
    ): JsonResponse {
        if (!$limiter->mayGuessAt($user)) {
            throw Refused::conflict('Too many attempts. Wait five minutes.');
        }
        if (!$hasher->isPasswordValid($user, $input->present)) {
            throw Refused::field('present', 'That is not your password so far.');
        }
        $this->transaction->run(static function () use ($user, $input, $hasher, $deeds): void {
            $user->password = $hasher->hashPassword($user, $input->next);
            ++$user->epoch;
            $deeds->note($user, DeedKind::PasswordChanged, $user->name);
        });
        $this->security->login($user, 'json_login', 'main');
        $request->getSession()->migrate(true);

        return $this->json($this->page->of($user));
    }

    /** Ends every session of whoever asks, this one too. */
    #[Route('/api/sessions/end', methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'Nobody is signed in any more.',
        content: new Model(type: SessionView::class),
    )]
    public function endAll(#[CurrentUser] User $user, DeedRepository $deeds): JsonResponse
    {
        $this->transaction->run(static function () use ($user, $deeds): void {
            ++$user->epoch;
            $deeds->note($user, DeedKind::SignedOutEverywhere, $user->name);
        });
        $this->security->logout(false);

        return $this->json($this->page->of(null));
    }

    #[Route('/api/preferences', methods: ['PUT'])]
    #[OA\Response(response: 200, description: 'Kept.', content: new Model(type: SessionView::class))]
    public function preferences(#[CurrentUser] User $user, #[MapRequestPayload] Preferences $input): JsonResponse
    {
        if (null !== $input->flora && !\in_array($input->flora, $this->library->names(), true)) {
            throw Refused::field(
                'flora',
                \sprintf(
                    'There is no flora "%s"; there are: %s.',
                    $input->flora,
                    implode(', ', $this->library->names()),
                ),
            );
        }
        $this->transaction->run(static function () use ($user, $input): void {
            $user->units = $input->units;
            $user->flora = $input->flora ?? $user->flora;
        });

        return $this->json($this->page->of($user));
    }
}

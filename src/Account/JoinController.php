<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Input\FreshPassword;
use App\Account\Input\Joining;
use App\Account\Input\NewSchool;
use App\Account\View\SessionView;
use App\Account\View\WelcomeView;
use App\Library\FloraLibrary;
use App\School\BeginWord;
use App\School\School;
use App\School\SchoolRepository;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;

/** How people come in: the first by the word the server printed, all others by a link from somebody who is in. */
#[OA\Tag('people')]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class JoinController extends ApiController
{
    private const SECRET = '[A-Za-z0-9_-]{20,64}';

    public function __construct(
        private readonly UserRepository $people,
        private readonly InvitationRepository $invitations,
        private readonly DeedRepository $deeds,
        private readonly SchoolRepository $schools,
        private readonly SessionPage $page,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly Transaction $transaction,
        private readonly Security $security,
        #[Autowire(service: 'clock')] private readonly ClockInterface $clock,
    ) {
    }

    /** The first page of an empty school: makes it, and its first instructor, who is signed in. */
    #[Route('/api/begin', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Begun, and signed in.', content: new Model(type: SessionView::class))]
    #[OA\Response(
        response: 409,
        description: 'It has begun already.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function begin(#[MapRequestPayload] NewSchool $input, BeginWord $word, FloraLibrary $library): JsonResponse
    {
        if ($this->people->isAnybodyHere()) {
            throw Refused::conflict('The school has begun already. Ask an instructor for an invitation.');
        }
        if (!$word->isRight($input->word)) {
            throw Refused::field(
                'word',
                'That is not the word, or it is older than a day. bin/console hylognosis:begin prints a new one.',
            );
        }
        if (!\in_array($input->flora, $library->names(), true)) {
            throw Refused::field(
                'flora',
                \sprintf('There is no flora "%s"; there are: %s.', $input->flora, implode(', ', $library->names())),
            );
        }
        $user = $this->transaction->run(function (EntityManagerInterface $entities) use ($input, $word): User {
            $school = new School(
                trim($input->name),
                trim($input->place),
                $input->latitude,
                $input->longitude,
                $input->altitude,
                $this->clock->now(),
            );
            [$school->flora, $school->units, $school->dates, $school->ofOne] = [
                $input->flora,
                $input->units,
                $input->dates,
                $input->ofOne,
            ];
            $entities->persist($school);
            $user = $this->made($entities, $input->email, $input->person, Role::Instructor, $input->password, $school);
            $word->spend();
            $this->deeds->note($user, DeedKind::Begun, $school->name);

            return $user;
        });

        return $this->signedIn($user);
    }

    /** Whose invitation this is. */
    #[Route('/api/join/{secret}', requirements: ['secret' => self::SECRET], methods: ['GET'])]
    #[OA\Response(response: 200, description: 'It holds.', content: new Model(type: WelcomeView::class))]
    #[OA\Response(
        response: 404,
        description: 'It does not hold, or no more.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function welcome(string $secret): JsonResponse
    {
        $invitation = $this->open($secret);

        return $this->json(
            new WelcomeView(
                $this->schools->ours()->name ?? '',
                $invitation->name,
                $invitation->role,
                $invitation->invitedBy->name,
                CalendarDay::iso($invitation->expiresAt),
                null !== $invitation->renews,
            ),
        );
    }

    /** Takes an invitation; the link works no more. */
    #[Route('/api/join/{secret}', requirements: ['secret' => self::SECRET], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Joined, and signed in.', content: new Model(type: SessionView::class))]
    #[OA\Response(
        response: 404,
        description: 'It does not hold, or no more.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function join(string $secret, #[MapRequestPayload] Joining $input): JsonResponse
    {
        $user = $this->transaction->run(function (EntityManagerInterface $entities) use ($secret, $input): User {
            $invitation = $this->open($secret);
            if (null !== $invitation->renews) {
                throw Refused::conflict('This link is for a new password, not for joining.');
            }
            $user = $this->made(
                $entities,
                $input->email,
                $input->name,
                $invitation->role,
                $input->password,
                $this->schools->ours(),
            );
            $invitation->taken = $user;
            $this->deeds->note($user, DeedKind::Joined, $user->name, 'invited by '.$invitation->invitedBy->name);

            return $user;
        });

        return $this->signedIn($user);
    }

    /** Sets a new password by a link an instructor made; everywhere else one is signed out. */
    #[Route('/api/join/{secret}/password', requirements: ['secret' => self::SECRET], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'Set, and signed in.', content: new Model(type: SessionView::class))]
    #[OA\Response(
        response: 404,
        description: 'The link does not hold, or no more.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function renew(string $secret, #[MapRequestPayload] FreshPassword $input): JsonResponse
    {
        $user = $this->transaction->run(function () use ($secret, $input): User {
            $invitation = $this->open($secret);
            $user = $invitation->renews ?? throw Refused::conflict('This link is for joining, not for a new password.');
            $user->password = $this->hasher->hashPassword($user, $input->password);
            ++$user->epoch;
            $invitation->taken = $user;
            $this->deeds->note(
                $user,
                DeedKind::PasswordChanged,
                $user->name,
                'by a link from '.$invitation->invitedBy->name,
            );

            return $user;
        });

        return $this->signedIn($user);
    }

    private function open(string $secret): Invitation
    {
        $invitation = $this->invitations->open($secret, $this->clock->now());

        return null === $invitation || true === $invitation->renews?->hasLeft()
            ? throw Refused::missing(
                'This link works no more: it was used, withdrawn, or is older than two weeks. Ask for a new one.',
            )
            : $invitation;
    }

    private function made(
        EntityManagerInterface $entities,
        string $email,
        string $name,
        Role $role,
        string $password,
        ?School $school,
    ): User {
        $address = User::normalised($email);
        if ('' === $address || null !== $this->people->findOneBy(['email' => $address])) {
            throw Refused::field('email', 'Somebody here signs in with this address already.');
        }
        $user = new User($address, trim($name), $role);
        $user->password = $this->hasher->hashPassword($user, $password);
        if (null !== $school) {
            [$user->flora, $user->units] = [$school->flora, $school->units];
        }
        $entities->persist($user);

        return $user;
    }

    private function signedIn(User $user): JsonResponse
    {
        $this->security->login($user, 'json_login', 'main');

        return $this->json($this->page->of($user));
    }
}

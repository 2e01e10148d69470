<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Input\NewInvitation;
use App\Account\Input\PersonChange;
use App\Account\View\DeedView;
use App\Account\View\ExaminerView;
use App\Account\View\InvitationView;
use App\Account\View\MemberView;
use App\Account\View\PeopleView;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The people of the school: who is here, who is expected, who has left. */
#[OA\Tag('people')]
#[OA\Response(
    response: 403,
    description: 'Not an instructor.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class PeopleController extends ApiController
{
    private const DEEDS = 60;

    public function __construct(
        private readonly UserRepository $people,
        private readonly InvitationRepository $invitations,
        private readonly Invitations $links,
        private readonly LinkMail $mail,
        private readonly DeedRepository $deeds,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
        #[Autowire(service: 'clock')] private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/api/people', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'Everybody.', content: new Model(type: PeopleView::class))]
    public function people(#[CurrentUser] User $user): JsonResponse
    {
        $this->permission->need(PeopleVoter::CARE);

        return $this->json($this->all($user));
    }

    /** Whoever could look at a tree, for handing an examination over. */
    #[Route('/api/examiners', methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'By name.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: ExaminerView::class))),
    )]
    public function examiners(): JsonResponse
    {
        $here = array_filter(
            $this->people->everybody(),
            static fn (User $person): bool => $person->role->mayExamine() && !$person->hasLeft(),
        );

        return $this->json(array_values(array_map(ExaminerView::of(...), $here)));
    }

    /** Makes a link by which somebody joins. It is told once. */
    #[Route('/api/invitations', methods: ['POST'])]
    #[OA\Response(
        response: 200,
        description: 'The invitation, with its link.',
        content: new Model(type: InvitationView::class),
    )]
    #[OA\Response(
        response: 422,
        description: 'Refused; nothing was stored.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function invite(
        #[CurrentUser] User $user,
        Request $request,
        #[MapRequestPayload] NewInvitation $input,
    ): JsonResponse {
        $this->permission->need(PeopleVoter::CARE);

        [$invitation, $secret] = $this->transaction->run(function () use ($user, $input): array {
            $this->deeds->note($user, DeedKind::Invited, trim($input->name), 'as '.$input->role->value);

            return $this->links->make($user, trim($input->name), $input->role);
        });
        $link = $request->getSchemeAndHttpHost().'/join/'.$secret;

        // after it is stored: a link that works not yet is of no use
        return $this->json(
            InvitationView::of(
                $invitation,
                $secret,
                '' !== $input->email && $this->mail->send($input->email, $invitation, $link),
            ),
        );
    }

    #[Route('/api/invitations/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    #[OA\Response(response: 200, description: 'Its link works no more.', content: new Model(type: PeopleView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such invitation.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function withdraw(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $this->permission->need(PeopleVoter::CARE);
        $this->transaction->run(function () use ($user, $id): void {
            $invitation = $this->invitations->find($id) ?? throw Refused::missing('There is no such invitation.');
            if (null === $invitation->taken && null === $invitation->withdrawnAt) {
                $invitation->withdrawnAt = $this->clock->now();
                $this->deeds->note($user, DeedKind::Withdrawn, $invitation->name);
            }
        });

        return $this->json($this->all($user));
    }

    /** Changes what somebody may do, or ends the account. What they did stays under their name. */
    #[Route('/api/people/{id}', requirements: ['id' => Requirement::UUID], methods: ['PATCH'])]
    #[OA\Response(response: 200, description: 'Everybody.', content: new Model(type: PeopleView::class))]
    #[OA\Response(
        response: 404,
        description: 'Nobody has this id.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    #[OA\Response(
        response: 409,
        description: 'Somebody has to look after the school.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function change(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] PersonChange $input,
    ): JsonResponse {
        $this->permission->need(PeopleVoter::CARE);
        $this->transaction->run(function () use ($user, $id, $input): void {
            $person = $this->person($id);
            $stays = ($input->role ?? $person->role)->mayDecide() && !($input->left ?? $person->hasLeft());
            if (
                !$stays
                && $person->role->mayDecide()
                && !$person->hasLeft()
                && 1 === $this->people->countInstructors()
            ) {
                throw Refused::conflict(
                    'Somebody has to look after the school: make somebody else an instructor first.',
                );
            }
            if (null !== $input->role && $input->role !== $person->role) {
                $this->deeds->note(
                    $user,
                    DeedKind::RoleChanged,
                    $person->name,
                    $person->role->value.' to '.$input->role->value,
                );
                $person->role = $input->role;
            }
            if (null !== $input->left && $input->left !== $person->hasLeft()) {
                $this->deeds->note($user, $input->left ? DeedKind::Left : DeedKind::CameBack, $person->name);
                $person->leftAt = $input->left ? $this->clock->now() : null;
                ++$person->epoch;
            }
        });

        return $this->json($this->all($user));
    }

    /** Makes a link by which somebody who has lost the password sets a new one. It is told once. */
    #[Route('/api/people/{id}/password-link', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(response: 200, description: 'The link.', content: new Model(type: InvitationView::class))]
    #[OA\Response(
        response: 404,
        description: 'Nobody has this id.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function passwordLink(#[CurrentUser] User $user, Request $request, string $id): JsonResponse
    {
        $this->permission->need(PeopleVoter::CARE);

        [$invitation, $secret, $person] = $this->transaction->run(function () use ($user, $id): array {
            $person = $this->person($id);
            if ($person->hasLeft()) {
                throw Refused::conflict(
                    \sprintf('The account of %s has ended; take it up again first.', $person->name),
                );
            }
            $this->deeds->note($user, DeedKind::PasswordLink, $person->name);

            return [...$this->links->make($user, $person->name, $person->role, $person), $person];
        });
        $link = $request->getSchemeAndHttpHost().'/join/'.$secret;

        return $this->json(
            InvitationView::of($invitation, $secret, $this->mail->send($person->email, $invitation, $link)),
        );
    }

    /** What was done before the last that is shown. */
    #[Route('/api/deeds/{before}', requirements: ['before' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'The last first.',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: new Model(type: DeedView::class))),
    )]
    public function deeds(string $before): JsonResponse
    {
        $this->permission->need(PeopleVoter::CARE);

        return $this->json(array_map(DeedView::of(...), $this->deeds->last(self::DEEDS, $before)));
    }

    private function person(string $id): User
    {
        return $this->people->find($id) ?? throw Refused::missing('Nobody here has this id.');
    }

    private function all(User $reader): PeopleView
    {
        return new PeopleView(
            array_map(
                static fn (User $person): MemberView => MemberView::of($person, $reader),
                $this->people->everybody(),
            ),
            array_map(
                static fn (Invitation $i): InvitationView => InvitationView::of($i),
                $this->invitations->allOpen($this->clock->now()),
            ),
            array_map(DeedView::of(...), $this->deeds->last(self::DEEDS)),
            $this->mail->isSet(),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Account\Role;
use App\Account\User;
use App\Account\UserRepository;
use App\Clock\SchoolClock;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Trust\Input\TrustGrantInput;
use App\Trust\Input\TrustRuleInput;
use App\Trust\Input\TrustWithdrawal;
use App\Trust\View\TrustView;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Learning\TrustTerms;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Who is trusted to decide on which part, on what evidence. */
#[OA\Tag('learning')]
#[OA\Response(response: 200, description: 'How it stands.', content: new Model(type: TrustView::class))]
#[OA\Response(
    response: 403,
    description: 'That is for instructors.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class TrustController extends ApiController
{
    public function __construct(
        private readonly TrustPage $page,
        private readonly TrustGrantRepository $grants,
        private readonly EntityManagerInterface $entities,
        private readonly UserRepository $users,
        private readonly FloraLibrary $library,
        private readonly DeedRepository $deeds,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/trust', methods: ['GET'])]
    public function show(#[CurrentUser] User $user): JsonResponse
    {
        return $this->json($this->page->for($user));
    }

    /** What it takes for a part. What was granted before stays as it was. */
    #[Route('/api/trust/rules', methods: ['PUT'])]
    public function rule(#[CurrentUser] User $user, #[MapRequestPayload] TrustRuleInput $input): JsonResponse
    {
        self::need($user);
        $flora = $this->library->flora($user->flora);
        try {
            $part = $flora->taxon($input->taxon)->part($input->part);
        } catch (UnknownEntry) {
            throw Refused::field('part', 'There is no such part of such a kind.');
        }
        if ('' !== $part->harmful) {
            throw Refused::field('part', 'That part is harmful itself; nobody clears it.');
        }
        $terms = new TrustTerms(
            $input->looks,
            $input->lookAlikes,
            $input->traps,
            $input->months,
            $input->validMonths,
        );
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $flora, $input, $terms): void {
            $rule = $this->find($input->taxon, $input->part);
            if (null === $rule) {
                $entities->persist(new TrustRule($input->taxon, $input->part, $flora->name, $terms, $user));
            } else {
                $rule->set($terms, $flora->name, $user);
            }
        });

        return $this->json($this->page->for($user));
    }

    /** It cannot be earned any more. What was granted stays until it ends or is withdrawn. */
    #[Route('/api/trust/rules', methods: ['DELETE'])]
    public function dropRule(
        #[CurrentUser] User $user,
        #[MapQueryParameter] string $taxon,
        #[MapQueryParameter] string $part,
    ): JsonResponse {
        self::need($user);
        $this->transaction->run(function (EntityManagerInterface $entities) use ($taxon, $part): void {
            $rule = $this->find($taxon, $part) ?? throw Refused::missing('Nothing is asked for that part.');
            $entities->remove($rule);
        });

        return $this->json($this->page->for($user));
    }

    /** Grants it, if it is earned: there is no way past the evidence. */
    #[Route('/api/trust', methods: ['POST'])]
    #[OA\Response(
        response: 409,
        description: 'It is not earned, or he is trusted with it already.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function grant(#[CurrentUser] User $user, #[MapRequestPayload] TrustGrantInput $input): JsonResponse
    {
        self::need($user);
        $this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): void {
            $learner = $this->users->find($input->learner);
            if (null === $learner || Role::Learner !== $learner->role || $learner->hasLeft()) {
                throw Refused::field('learner', 'There is no such learner.');
            }
            $known = $this->grants->find(strtolower($input->id));
            if (null !== $known) {
                if ($known->learner !== $learner || $known->taxon !== $input->taxon || $known->part !== $input->part) {
                    throw Refused::conflict('That id is of something else.');
                }

                return; // sent twice
            }
            $rule =
                $this->find($input->taxon, $input->part) ??
                throw Refused::field('part', 'Nothing is asked for that part, so that it cannot be earned.');
            foreach ($this->grants->holding($learner) as $holding) {
                if ($holding->taxon === $input->taxon && $holding->part === $input->part) {
                    throw Refused::conflict($learner->name.' is trusted with that already.');
                }
            }
            $account = $this->page->account($learner, $rule);
            if (!$account->isEarned()) {
                throw Refused::conflict($learner->name.' has not earned it yet; what is missing stands on the page.');
            }
            $today = $this->clock->today();
            $entities->persist(
                new TrustGrant(
                    strtolower($input->id),
                    $learner,
                    $rule->taxon,
                    $rule->part,
                    $rule->flora,
                    $user,
                    $today,
                    $account->terms->until($today),
                    array_map(TrustGrant::kept(...), $account->looks),
                    $account->terms->asNumbers(),
                ),
            );
            $this->deeds->note($user, DeedKind::TrustGranted, $learner->name, $rule->taxon.'/'.$rule->part);
        });

        return $this->json($this->page->for($user));
    }

    /** At once, and whatever is under way: the gate asks each time. */
    #[Route('/api/trust/{id}/withdraw', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[OA\Response(
        response: 404,
        description: 'Nothing of the kind was granted.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function withdraw(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] TrustWithdrawal $input,
    ): JsonResponse {
        self::need($user);
        $this->transaction->run(function () use ($user, $id, $input): void {
            $grant = $this->grants->find($id) ?? throw Refused::missing('Nothing of the kind was granted.');
            if (!$grant->isWithdrawn()) {
                $grant->withdraw($this->clock->now(), $user, trim($input->because));
                $this->deeds->note($user, DeedKind::TrustWithdrawn, $grant->learner->name, trim($input->because));
            }
        });

        return $this->json($this->page->for($user));
    }

    private static function need(User $user): void
    {
        if (!$user->role->mayDecide()) {
            throw Refused::forbidden('Whom to trust is decided by instructors.');
        }
    }

    private function find(string $taxon, string $part): ?TrustRule
    {
        return $this->entities->getRepository(TrustRule::class)->findOneBy(['taxon' => $taxon, 'part' => $part]);
    }
}

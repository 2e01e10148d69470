<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Examine\Input\Doubt;
use App\Examine\Input\Merge;
use App\Examine\Input\Split;
use App\Examine\Input\TreeKindInput;
use App\Storage\Transaction;
use App\Trees\Specimen;
use App\Trees\SpecimenRepository;
use App\Trees\SpecimenVoter;
use App\Trees\View\SpecimenView;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Which tree is which, and what it is held to be. */
#[OA\Tag('trees')]
#[OA\Response(response: 200, description: 'The tree.', content: new Model(type: SpecimenView::class))]
#[OA\Response(
    response: 409,
    description: 'It does not stand as asked; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
#[OA\Response(
    response: 422,
    description: 'Refused; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class TreeIdentityController extends ApiController
{
    public function __construct(
        private readonly SpecimenRepository $specimens,
        private readonly TreeIdentities $identities,
        private readonly Transaction $transaction,
        private readonly Permission $permission,
    ) {
    }

    #[Route('/api/specimens/{id}/kind', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function hold(#[CurrentUser] User $user, string $id, #[MapRequestPayload] TreeKindInput $input): JsonResponse
    {
        $this->permission->need(SpecimenVoter::IDENTIFY);

        return $this->write(
            $id,
            fn (Specimen $tree) => $this->identities->hold(
                $tree,
                $input->taxon,
                array_values($input->examinations),
                $user,
            ),
        );
    }

    #[Route('/api/specimens/{id}/doubt', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function doubt(#[CurrentUser] User $user, string $id, #[MapRequestPayload] Doubt $input): JsonResponse
    {
        return $this->write($id, fn (Specimen $tree) => $this->identities->doubt($tree, trim($input->because), $user));
    }

    #[Route('/api/specimens/{id}/merge', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function merge(#[CurrentUser] User $user, string $id, #[MapRequestPayload] Merge $input): JsonResponse
    {
        $this->permission->need(SpecimenVoter::IDENTIFY);

        return $this->write($id, function (Specimen $tree) use ($user, $input): void {
            $goes = $this->specimens->find($input->with) ?? throw Refused::field('with', 'There is no such tree.');
            $this->identities->merge($tree, $goes, trim($input->because), $user);
        });
    }

    #[Route('/api/specimens/{id}/split', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function split(#[CurrentUser] User $user, string $id, #[MapRequestPayload] Split $input): JsonResponse
    {
        $this->permission->need(SpecimenVoter::IDENTIFY);

        return $this->write($id, function (Specimen $tree, EntityManagerInterface $entities) use (
            $user,
            $input,
        ): Specimen {
            $tag = trim($input->tag);
            $this->specimens->wantFree($tag);
            // an examination may not be older than the tagging of its tree: the other was tagged with the first
            $other = new Specimen($tag, $tree->site, trim($input->whereabouts), $tree->createdAt);
            $entities->persist($other);
            $this->identities->split($tree, $other, array_values($input->examinations), trim($input->because), $user);

            return $other;
        });
    }

    /** @param callable(Specimen, EntityManagerInterface): (Specimen|void|null) $work */
    private function write(string $id, callable $work): JsonResponse
    {
        return $this->json(
            SpecimenView::of(
                $this->transaction->run(function (EntityManagerInterface $entities) use ($id, $work): Specimen {
                    $tree = $this->specimens->find($id) ?? throw Refused::missing('There is no such tree.');

                    $other = $work($tree, $entities);

                    return $other instanceof Specimen ? $other : $tree;
                }),
            ),
        );
    }
}

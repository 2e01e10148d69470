<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use App\Health\View\SignView;
use App\Library\CareTable;
use App\Library\FloraLibrary;
use App\Library\SpreadTable;
use App\Species\View\CareView;
use App\Species\View\LivingFactView;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Care\LivingFacts;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What the tables beside the floras say of a kind. */
#[OA\Tag('flora')]
final class CareController extends ApiController
{
    public function __construct(
        private readonly FloraLibrary $library,
        private readonly SpreadTable $spreads,
        private readonly CareTable $care,
        private readonly SiteRepository $sites,
    ) {
    }

    #[Route('/api/flora/taxa/{id}/care', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What is said.', content: new Model(type: CareView::class))]
    #[OA\Response(
        response: 404,
        description: 'No such kind.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        $taxon =
            $this->library->flora($user->flora)->taxa[$id] ?? throw Refused::missing('Your flora has no such kind.');
        $spread = $this->spreads->spread($user->flora, $id);
        $rarity = $this->spreads->rarity($user->flora, $id);
        $native = $this->spreads->native($user->flora, $id);
        $living = $this->care->living($id);

        return $this->json(
            new CareView(
                $spread->ways ?? [],
                $spread->harvest ?? '',
                $spread->cleanup ?? '',
                $rarity->why ?? '',
                $rarity->who ?? '',
                $native->where ?? '',
                null === $native
                    ? []
                    : array_values(
                        array_map(
                            static fn (Site $s): string => $s->name,
                            array_filter(
                                $this->sites->findBy([], ['name' => 'ASC']),
                                static fn (Site $s): bool => $native->isOutside($s->place()),
                            ),
                        ),
                    ),
                null === $living ? [] : self::facts($living),
                array_map(SignView::of(...), $this->care->signsOf([$taxon->id], $user->flora)),
                array_values(
                    array_unique(
                        array_filter(
                            [$spread->source ?? '', $rarity->source ?? '', $living->source ?? ''],
                            static fn (string $source): bool => '' !== $source,
                        ),
                    ),
                ),
            ),
        );
    }

    /** @return list<LivingFactView> what is known */
    private static function facts(LivingFacts $l): array
    {
        $facts = [];
        foreach (['roots', 'fruit', 'litter', 'pollen', 'limbs', 'pruning', 'fibre'] as $what) {
            if ('' !== $l->{$what}) {
                $facts[] = new LivingFactView($what, $l->{$what});
            }
        }

        return $facts;
    }
}

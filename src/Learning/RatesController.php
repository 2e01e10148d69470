<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Learning\Input\RateProposalInput;
use App\Learning\View\RateProposalView;
use App\Learning\View\SchoolRatesView;
use App\Learning\View\SchoolRehearsalView;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Web\ApiController;
use App\Web\Refused;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Learning\CountedRate;
use Hylognosis\Measure\CalendarDay;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Yaml\Yaml;

/** Rates that are counted: pooled, without names, and proposed for the next edition of the flora. */
#[OA\Tag('learning')]
#[OA\Response(
    response: 403,
    description: 'That is for instructors.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
)]
final class RatesController extends ApiController
{
    public function __construct(
        private readonly SchoolRates $rates,
        private readonly FloraLibrary $library,
        private readonly EntityManagerInterface $entities,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/learning/rates', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'How it stands.', content: new Model(type: SchoolRatesView::class))]
    public function show(#[CurrentUser] User $user): JsonResponse
    {
        self::need($user);

        return $this->json($this->view($user));
    }

    /** What is counted well enough is proposed, with the counts as its source. It changes no gate. */
    #[Route('/api/learning/rates', methods: ['POST'])]
    #[OA\Response(response: 200, description: 'How it stands.', content: new Model(type: SchoolRatesView::class))]
    #[OA\Response(
        response: 409,
        description: 'Nothing is counted well enough yet.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function propose(#[CurrentUser] User $user, #[MapRequestPayload] RateProposalInput $input): JsonResponse
    {
        self::need($user);
        $flora = $this->library->flora($user->flora);
        $founded = array_filter(
            $this->rates->counted($flora->name),
            static fn (CountedRate $rate): bool => $rate->isWellFounded(),
        );
        if ([] === $founded) {
            throw Refused::conflict(
                \sprintf('Nothing was looked at %d times yet; fewer looks say too little.', CountedRate::LEAST_LOOKS),
            );
        }
        $this->transaction->run(function (EntityManagerInterface $entities) use (
            $user,
            $input,
            $flora,
            $founded,
        ): void {
            if (null !== $entities->find(RateProposal::class, strtolower($input->id))) {
                return; // sent twice
            }
            $entities->persist(
                new RateProposal(
                    strtolower($input->id),
                    $flora->name,
                    $flora->hash,
                    $user,
                    $this->clock->now(),
                    $this->rates->people($flora->name),
                    array_values(
                        array_map(
                            static fn (CountedRate $rate): array => [
                                'character' => $rate->character->id,
                                'looks' => $rate->looks,
                                'wrong' => $rate->wrong,
                                'was' => $rate->character->legibility->misreading,
                                'rate' => $rate->proposed(),
                                'low' => round($rate->low, 4),
                                'high' => round($rate->high, 4),
                                'confusions' => $rate->confusions,
                            ],
                            $founded,
                        ),
                    ),
                ),
            );
        });

        return $this->json($this->view($user));
    }

    /** As the flora's own file of characters has them: misreading, confusions, and where they are from. */
    #[Route('/api/learning/rates/{id}.yaml', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[OA\Response(
        response: 200,
        description: 'For whoever makes the next edition.',
        content: new OA\MediaType(mediaType: 'application/yaml', schema: new OA\Schema(type: 'string')),
    )]
    #[OA\Response(
        response: 404,
        description: 'No such proposal.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function document(#[CurrentUser] User $user, string $id): Response
    {
        self::need($user);
        $proposal = $this->entities->find(RateProposal::class, $id) ?? throw Refused::missing('No such proposal.');
        $characters = [];
        foreach ($proposal->rates as $rate) {
            $confusions = [];
            foreach ($rate['confusions'] as $true => $reads) {
                foreach ($reads as $read) {
                    $confusions[] = [$true, $read];
                }
            }
            $characters[] = [
                'id' => $rate['character'],
                'misreading' => $rate['rate'],
                ...[] === $confusions ? [] : ['confusions' => $confusions],
                'source' => \sprintf(
                    'counted %s: %d of %d looks of %d people misread; 95 %% between %.3f and %.3f; was %.2f',
                    CalendarDay::iso($proposal->at),
                    $rate['wrong'],
                    $rate['looks'],
                    $proposal->people,
                    $rate['low'],
                    $rate['high'],
                    $rate['was'],
                ),
            ];
        }

        return new Response(
            Yaml::dump(
                [
                    'flora' => $proposal->flora,
                    'edition' => $proposal->hash,
                    'proposed' => CalendarDay::iso($proposal->at),
                    'characters' => $characters,
                ],
                3,
                2,
            ),
            headers: [
                'Content-Type' => 'application/yaml; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="rates.yaml"',
            ],
        );
    }

    /** How often this school would go wrong with a part. */
    #[Route('/api/learning/rehearsal', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'How it went.', content: new Model(type: SchoolRehearsalView::class))]
    #[OA\Response(
        response: 422,
        description: 'No such part, or it is never cleared.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    )]
    public function rehearse(
        #[CurrentUser] User $user,
        #[OA\QueryParameter(description: 'taxon/part')]
        #[MapQueryParameter(validationFailedStatusCode: 422)]
        string $part = '',
    ): JsonResponse {
        self::need($user);

        return $this->json($this->rates->rehearsal($user->flora, $part));
    }

    private static function need(User $user): void
    {
        if (!$user->role->mayDecide()) {
            throw Refused::forbidden('What the school misreads is seen by instructors.');
        }
    }

    private function view(User $user): SchoolRatesView
    {
        $proposals = $this->entities->getRepository(RateProposal::class)->findBy(
            ['flora' => $user->flora],
            ['at' => 'DESC'],
            20,
        );

        return new SchoolRatesView(
            array_map(SchoolRates::view(...), array_values($this->rates->counted($user->flora))),
            $this->rates->people($user->flora),
            CountedRate::LEAST_LOOKS,
            array_map(
                static fn (RateProposal $p): RateProposalView => new RateProposalView(
                    $p->id,
                    $p->by->name,
                    $p->at->format(\DateTimeInterface::RFC3339),
                    $p->people,
                    \count($p->rates),
                ),
                $proposals,
            ),
        );
    }
}

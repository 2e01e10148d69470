<?php

declare(strict_types=1);

namespace App\Find;

use App\Account\User;
use App\Examine\ExaminationRepository;
use App\Examine\Summaries;
use App\Examine\View\ExaminationSummaryView;
use App\Find\View\FindView;
use App\Find\View\FoundKindView;
use App\Hazards\View\HarmView;
use App\Library\FloraLibrary;
use App\Trees\Input\TreeSearch;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use App\Trees\TreeLabels;
use App\Trees\View\SiteView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Search\FloraSearch;
use Hylognosis\Search\Found;
use Hylognosis\Search\Words;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** One search over everything: kinds, trees, places, what is begun. */
#[OA\Tag('find')]
final class FindController extends ApiController
{
    private const MOST = 6;
    private const MOST_OPEN = 60;
    private const LONGEST = 100;

    #[Route('/api/find', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What answers.', content: new Model(type: FindView::class))]
    #[OA\Response(
        response: 422,
        description: 'That is too long for a search.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function find(
        #[CurrentUser] User $user,
        FloraLibrary $library,
        SpecimenRepository $specimens,
        SiteRepository $sites,
        ExaminationRepository $examinations,
        TreeLabels $labels,
        Summaries $summaries,
        #[MapQueryParameter(validationFailedStatusCode: 422)] string $q = '',
        #[MapQueryParameter(validationFailedStatusCode: 422, options: ['min_range' => 1, 'max_range' => 200])]
        int $most = 12,
    ): JsonResponse {
        if (mb_strlen($q) > self::LONGEST) {
            throw Refused::field('q', \sprintf('More than %d letters are no search.', self::LONGEST));
        }
        $words = Words::of($q);
        if ([] === $words) {
            return $this->json(new FindView([], [], [], []));
        }
        $answers = static fn (string $text): bool => [] ===
            array_filter($words, static fn (string $word): bool => !str_contains(implode(' ', Words::of($text)), $word));

        return $this->json(
            new FindView(
                array_map(self::kind(...), (new FloraSearch($library->flora($user->flora)))->find($q, $most)),
                $labels->of(\array_slice($specimens->page(new TreeSearch($q), self::MOST), 0, self::MOST), $user),
                array_map(
                    SiteView::of(...),
                    \array_slice(
                        array_values(
                            array_filter(
                                $sites->findBy([], ['name' => 'ASC']),
                                static fn (Site $site): bool => $answers($site->name.' '.$site->owner),
                            ),
                        ),
                        0,
                        self::MOST,
                    ),
                ),
                \array_slice(
                    array_values(
                        array_filter(
                            $summaries->of($examinations->openOf($user, self::MOST_OPEN), $user),
                            static fn (ExaminationSummaryView $e): bool => $answers(
                                $e->tag.' '.$e->claim.' '.$e->site,
                            ),
                        ),
                    ),
                    0,
                    self::MOST,
                ),
            ),
        );
    }

    private static function kind(Found $found): FoundKindView
    {
        $taxon = $found->taxon;

        return new FoundKindView(
            $taxon->id,
            $taxon->commonName(),
            $taxon->name,
            $taxon->severity(),
            HarmView::of($taxon),
            $found->why,
        );
    }
}

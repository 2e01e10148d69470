<?php

declare(strict_types=1);

namespace App\Stock;

use App\Account\User;
use App\Hazards\View\HazardView;
use App\Hazards\View\NoRecordView;
use App\Library\FloraLibrary;
use App\Library\StockTable;
use App\Stock\Input\ReckonQuery;
use App\Stock\View\HarmSeenView;
use App\Stock\View\ReachView;
use App\Stock\View\ReckonedView;
use App\Stock\View\StockKindView;
use App\Stock\View\StockView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Flora\Hazard;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\Herd;
use Hylognosis\Stock\WithinReach;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What poisons animals: by kind, part and victim, and with how much where somebody wrote it down. */
#[OA\Tag('stock')]
final class StockController extends ApiController
{
    public function __construct(private readonly FloraLibrary $library, private readonly StockTable $table)
    {
    }

    /** All that the flora one works with says of harm to animals. */
    #[Route('/api/stock', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'The worst first.', content: new Model(type: StockView::class))]
    public function all(#[CurrentUser] User $user): JsonResponse
    {
        $kinds = $silent = [];
        foreach ($this->library->flora($user->flora)->taxa as $taxon) {
            $hazards = self::toAnimals($taxon);
            if ([] === $hazards) {
                $silent[] = $taxon->commonName();
            } else {
                $kinds[] = new StockKindView(
                    $taxon->id,
                    $taxon->name,
                    $taxon->commonName(),
                    $hazards[0]->severity,
                    array_map(
                        static fn (Hazard $h): HazardView => new HazardView(
                            $h->part,
                            $h->who,
                            $h->way,
                            $h->severity,
                            $h->note,
                        ),
                        $hazards,
                    ),
                    NoRecordView::of($taxon),
                    array_map(HarmSeenView::of(...), $this->table->of($taxon->id)),
                );
            }
        }
        usort(
            $kinds,
            static fn (StockKindView $a, StockKindView $b): int => [$b->severity->rank(), $a->commonName] <=> [
                $a->severity->rank(),
                $b->commonName,
            ],
        );
        sort($silent, \SORT_FLAG_CASE | \SORT_STRING);

        return $this->json(new StockView($kinds, $silent));
    }

    /** What harmed others, held against one’s own animals and against what came down. Nothing of it is kept. */
    #[Route('/api/stock/reckon', methods: ['GET'])]
    #[OA\Response(response: 200, description: 'What comes of it.', content: new Model(type: ReckonedView::class))]
    #[OA\Response(
        response: 422,
        description: 'Nothing can be reckoned of that.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function reckon(
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] ReckonQuery $asked,
    ): JsonResponse {
        if (!isset($this->library->flora($user->flora)->taxa[$asked->taxon])) {
            throw Refused::field('taxon', \sprintf('Your flora knows no "%s".', $asked->taxon));
        }
        $herd = new Herd($asked->animal, $asked->number, Mass::ofGrams($asked->grams));
        $leaf =
            null === $asked->diameter
                ? null
                : CarriedLeaf::of($this->table->group($asked->taxon), Length::of($asked->diameter, 'mm'));
        $harms = array_filter(
            $this->table->of($asked->taxon),
            static fn (HarmSeen $h): bool => $h->animal === $asked->animal,
        );

        return $this->json(
            new ReckonedView(
                array_values(
                    array_map(fn (HarmSeen $harm): ReachView => ReachView::of(
                        WithinReach::of($harm, $herd, $harm->isOfLeaves() ? $leaf : null),
                        $this->table->group($asked->taxon),
                    ), $harms),
                ),
                $leaf?->least->grams,
                $leaf?->fresh->grams,
                $leaf?->most->grams,
            ),
        );
    }

    /** @return list<Hazard> the worst first */
    private static function toAnimals(Taxon $taxon): array
    {
        $hazards = array_values(
            array_filter(
                $taxon->hazards,
                static fn (Hazard $h): bool => 'people' !== $h->who && Severity::Harmless !== $h->severity,
            ),
        );
        usort($hazards, static fn (Hazard $a, Hazard $b): int => $b->severity->rank() <=> $a->severity->rank());

        return $hazards;
    }
}

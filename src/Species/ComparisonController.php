<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use App\Hazards\View\HarmView;
use App\Library\FloraLibrary;
use App\Species\Input\ComparisonQuery;
use App\Species\View\ComparedView;
use App\Species\View\ComparisonView;
use App\Species\View\NeverView;
use App\Species\View\PartingView;
use App\Species\View\SideView;
use App\Species\View\StateShareView;
use App\Trees\SiteRepository;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Identification\Comparison;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Parting;
use Hylognosis\Measure\Units;
use Hylognosis\Season\Phenology;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('flora')]
final class ComparisonController extends ApiController
{
    /** What fewer trees of a taxon show is not what it is told by. */
    private const WORTH_SAYING = 0.04;

    public function __construct(
        private readonly FloraLibrary $library,
        private readonly SpeciesPage $page,
        private readonly SiteRepository $sites,
    ) {
    }

    /** What exactly parts two to four taxa. */
    #[Route('/api/flora/compare', methods: ['GET'], priority: 1)]
    #[OA\Response(
        response: 200,
        description: 'What parts them, the most telling first.',
        content: new Model(type: ComparisonView::class),
    ),]
    #[OA\Response(
        response: 404,
        description: 'No such flora or taxon.',
        content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
    ),]
    public function compare(
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] ComparisonQuery $asked,
    ): JsonResponse {
        $name = '' === $asked->flora ? $user->flora : $asked->flora;
        if (!\in_array($name, $this->library->names(), true)) {
            throw Refused::missing(\sprintf('There is no flora "%s".', $name));
        }
        $site =
            '' === $asked->site
                ? null
                : $this->sites->find($asked->site) ?? throw Refused::missing('There is no such place.');
        $compiled = $this->library->compiled($name, $asked->stage);
        try {
            $comparison = Comparison::of(
                $compiled,
                explode(',', $asked->taxa),
                Phenology::at($compiled->flora, $site?->place() ?? $compiled->flora->reference),
            );
        } catch (UnknownEntry $e) {
            throw Refused::missing($e->getMessage());
        } catch (\InvalidArgumentException $e) {
            throw Refused::field('taxa', $e->getMessage());
        }

        $units = Units::from($user->units);

        return $this->json(
            new ComparisonView(
                $asked->stage,
                array_map(
                    fn (int $t): ComparedView => $this->compared($compiled, $t, $comparison, $units),
                    $comparison->taxa,
                ),
                array_map(
                    static fn (Parting $row): PartingView => self::row($row, $comparison, $units),
                    $comparison->rows,
                ),
            ),
        );
    }

    private function compared(CompiledFlora $compiled, int $number, Comparison $comparison, Units $units): ComparedView
    {
        $taxon = $compiled->flora->taxon($compiled->taxa[$number]);

        return new ComparedView(
            $taxon->id,
            $taxon->commonName(),
            $taxon->name,
            $taxon->severity(),
            HarmView::of($taxon),
            $this->page->description($compiled->flora, $compiled->descriptions[$number], $units),
            array_map(
                static fn (StatedNever $line): NeverView => NeverView::of($compiled->flora, $line),
                $comparison->nevers[$number],
            ),
        );
    }

    private static function row(Parting $row, Comparison $comparison, Units $units): PartingView
    {
        $character = $row->there->character;

        return new PartingView(
            $character->id,
            $character->organ,
            $character->label,
            $character->question,
            $row->position,
            $row->bits,
            array_map(static fn (int $t): SideView => self::side($row, $t, $units), $comparison->taxa),
        );
    }

    private static function side(Parting $row, int $taxon, Units $units): SideView
    {
        $there = $row->there;
        $states = [];
        foreach (null === $row->times[$taxon] ? [] : $there->outcomes as $id => $o) {
            if (!isset($there->unlisted[$o][$taxon]) && $there->shown[$o][$taxon] >= self::WORTH_SAYING) {
                $state = $there->character->state($id);
                $states[] = new StateShareView($id, $state->label, $state->drawing, $there->shown[$o][$taxon]);
            }
        }
        usort($states, static fn (StateShareView $a, StateShareView $b): int => $b->share <=> $a->share);
        $range = $there->ranges[$taxon] ?? null;

        return new SideView(
            $states,
            $range?->words($there->character->unit, $units),
            $row->times[$taxon],
            $row->months[$taxon],
        );
    }
}

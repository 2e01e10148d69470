<?php

declare(strict_types=1);

namespace App\Reckoning;

use App\Reckoning\Input\AirQuery;
use App\Reckoning\Input\BoardQuery;
use App\Reckoning\Input\CordQuery;
use App\Reckoning\Input\DryingQuery;
use App\Reckoning\Input\FirewoodQuery;
use App\Reckoning\Input\KernelQuery;
use App\Reckoning\Input\LeachingQuery;
use App\Reckoning\Input\LogQuery;
use App\Reckoning\Input\PreserveQuery;
use App\Reckoning\Input\StemQuery;
use App\Reckoning\View\FigureFoundView;
use App\Reckoning\View\FigureName;
use App\Reckoning\View\FiguresFoundView;
use App\Web\ApiController;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Proportion;
use Hylognosis\Measure\Temperature;
use Hylognosis\Measure\TreeSize;
use Hylognosis\Measure\Volume;
use Hylognosis\Processing\Cord;
use Hylognosis\Processing\Firewood;
use Hylognosis\Processing\GroundLife;
use Hylognosis\Processing\Leaching;
use Hylognosis\Processing\LogWorth;
use Hylognosis\Processing\Moisture;
use Hylognosis\Processing\NutYield;
use Hylognosis\Processing\Preserve;
use Hylognosis\Processing\SawLog;
use Hylognosis\Processing\Shrinkage;
use Hylognosis\Processing\StandingStem;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;

/** What people reckon in the head, reckoned: nothing of it is kept. */
#[OA\Tag('reckoning')]
#[OA\Response(response: 200, description: 'What comes of it.', content: new Model(type: FiguresFoundView::class))]
#[OA\Response(
    response: 422,
    description: 'Nothing can be reckoned of that.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class ReckoningController extends ApiController
{
    #[Route('/api/reckoning/drying', methods: ['GET'])]
    public function drying(#[MapQueryString(validationFailedStatusCode: 422)] DryingQuery $asked): JsonResponse
    {
        $then = Moisture::wetBasis($asked->now / 100)->weightAt(
            Moisture::wetBasis($asked->then / 100),
            Mass::ofGrams($asked->grams),
        );

        return $this->found(
            FigureFoundView::one(FigureName::Grams, $then->grams),
            FigureFoundView::one(FigureName::LostGrams, $asked->grams - $then->grams),
        );
    }

    #[Route('/api/reckoning/air', methods: ['GET'])]
    public function air(#[MapQueryString(validationFailedStatusCode: 422)] AirQuery $asked): JsonResponse
    {
        $moisture = Moisture::ofWoodIn(Temperature::celsius($asked->celsius), $asked->humidity / 100);

        return $this->found(
            FigureFoundView::one(FigureName::DryPercent, 100 * $moisture->onDryBasis()),
            FigureFoundView::one(FigureName::WetPercent, 100 * $moisture->onWetBasis()),
        );
    }

    #[Route('/api/reckoning/leaching', methods: ['GET'])]
    public function leaching(#[MapQueryString(validationFailedStatusCode: 422)] LeachingQuery $asked): JsonResponse
    {
        $leaching = Leaching::ofMeal(Mass::ofGrams($asked->meal), Mass::ofGrams($asked->water));
        $changes = $leaching->changesTo($asked->left / 100);
        $red = '' === $asked->group ? null : 'red' === $asked->group;

        return $this->found(
            FigureFoundView::one(FigureName::Changes, $changes),
            FigureFoundView::one(FigureName::LeftPercent, 100 * $leaching->leftAfter(min(1000, $changes))),
            new FigureFoundView(FigureName::ColdHours, ...Leaching::hours($red, false)),
            new FigureFoundView(FigureName::HotHours, ...Leaching::hours($red, true)),
        );
    }

    #[Route('/api/reckoning/preserve', methods: ['GET'])]
    public function preserve(#[MapQueryString(validationFailedStatusCode: 422)] PreserveQuery $asked): JsonResponse
    {
        $fruit = Mass::ofGrams($asked->fruit);
        $made = Preserve::of(
            $fruit,
            $asked->soluble / 100,
            Mass::ofGrams(max(0.001, $asked->sugar)),
            $asked->share / 100,
        );

        return $this->found(
            FigureFoundView::one(FigureName::Grams, $made->made->grams),
            FigureFoundView::one(FigureName::BoilOffGrams, $made->boilOff->grams),
            FigureFoundView::one(
                FigureName::SugarGrams,
                Preserve::sugarFor($fruit, $asked->soluble / 100, $asked->share / 100)->grams,
            ),
        );
    }

    #[Route('/api/reckoning/kernels', methods: ['GET'])]
    public function kernels(#[MapQueryString(validationFailedStatusCode: 422)] KernelQuery $asked): JsonResponse
    {
        $yield = NutYield::of(
            Mass::ofGrams($asked->grams),
            Proportion::of($asked->sound, $asked->opened),
            $asked->kernel / 100,
        );

        return $this->found(
            FigureFoundView::one(FigureName::Grams, $yield->kernels->grams),
            new FigureFoundView(FigureName::Grams, $yield->interval[0]->grams, $yield->interval[1]->grams),
        );
    }

    #[Route('/api/reckoning/cord', methods: ['GET'])]
    public function cord(#[MapQueryString(validationFailedStatusCode: 422)] CordQuery $asked): JsonResponse
    {
        $thick = Length::ofMetres($asked->millimetres / 1000);
        [$short, $long] = Cord::lengthOf(Mass::ofGrams($asked->grams), $thick);
        [$loose, $hard] = Cord::takesForAMetre($thick);

        return $this->found(
            new FigureFoundView(FigureName::Metres, $short->metres(), $long->metres()),
            new FigureFoundView(FigureName::GramsForAMetre, $loose->grams, $hard->grams),
        );
    }

    #[Route('/api/reckoning/firewood', methods: ['GET'])]
    public function firewood(#[MapQueryString(validationFailedStatusCode: 422)] FirewoodQuery $asked): JsonResponse
    {
        $wood = Firewood::stacked(Volume::ofCubicMetres($asked->stacked));
        $moisture = Moisture::wetBasis($asked->water / 100);
        $heat = $wood->heat($asked->density, $moisture, $asked->resinous);
        $figures = [
            FigureFoundView::one(FigureName::KilowattHours, $heat),
            FigureFoundView::one(
                FigureName::KilowattHoursOfAKilogram,
                Firewood::heatOfAKilogram($moisture, $asked->resinous),
            ),
            FigureFoundView::one(FigureName::Grams, $wood->weight($asked->density, $moisture)->grams),
            FigureFoundView::one(FigureName::SolidCubicMetres, $wood->solid->cubicMetres),
            FigureFoundView::one(FigureName::Cords, $wood->inCords()),
            FigureFoundView::one(FigureName::LitresOfOil, Firewood::inLitresOfOil($heat)),
        ];
        if ($asked->perDay > 0.0) {
            $figures[] = FigureFoundView::one(FigureName::Days, $heat / $asked->perDay);
        }
        if ($asked->price > 0.0 && $heat > 0.0) {
            $figures[] = FigureFoundView::one(
                FigureName::PriceOfAKilowattHour,
                ($asked->price * $wood->stackedVolume()->cubicMetres) / $heat,
            );
        }

        return $this->found(...$figures);
    }

    #[Route('/api/reckoning/log', methods: ['GET'])]
    public function log(#[MapQueryString(validationFailedStatusCode: 422)] LogQuery $asked): JsonResponse
    {
        $log = new SawLog(
            Length::ofMetres($asked->butt / 100),
            Length::ofMetres($asked->top / 100),
            Length::ofMetres($asked->length),
        );
        $figures = [
            FigureFoundView::one(FigureName::CubicMetres, $log->smalian()->cubicMetres),
            FigureFoundView::one(FigureName::DoyleFeet, $log->doyle()),
            FigureFoundView::one(FigureName::InternationalFeet, $log->international()),
            FigureFoundView::one(
                FigureName::Posts,
                $log->posts(Length::ofMetres($asked->post), Length::ofMetres($asked->face / 100)),
            ),
        ];
        if ($asked->class > 0) {
            [$least, $most] = GroundLife::ofClass($asked->class);
            $figures[] = new FigureFoundView(FigureName::Years, $least, $most);
        }
        $worth = LogWorth::of($log, $asked->perFoot, $asked->perStacked);
        $figures[] = FigureFoundView::one(FigureName::BoardCubicMetres, $worth->boards->cubicMetres);
        $figures[] = FigureFoundView::one(
            FigureName::SlabsStackedCubicMetres,
            $worth->slabs->stackedVolume()->cubicMetres,
        );
        if ($worth->worth > 0.0) {
            $figures[] = FigureFoundView::one(FigureName::Worth, $worth->worth);
            $figures[] = FigureFoundView::one(FigureName::WorthOfSlabs, $worth->ofSlabs);
        }

        return $this->found(...$figures);
    }

    #[Route('/api/reckoning/stem', methods: ['GET'])]
    public function stem(#[MapQueryString(validationFailedStatusCode: 422)] StemQuery $asked): JsonResponse
    {
        $stem = StandingStem::of(
            TreeSize::diameter(Length::ofMetres($asked->girth / 100)),
            Length::ofMetres($asked->height),
        );

        return $this->found(
            FigureFoundView::one(FigureName::StemLikelyCubicMetres, $stem->likely->cubicMetres),
            new FigureFoundView(FigureName::StemCubicMetres, $stem->least->cubicMetres, $stem->most->cubicMetres),
            FigureFoundView::one(
                FigureName::StemStackedCubicMetres,
                Firewood::solid($stem->likely)->stackedVolume()->cubicMetres,
            ),
        );
    }

    #[Route('/api/reckoning/board', methods: ['GET'])]
    public function board(#[MapQueryString(validationFailedStatusCode: 422)] BoardQuery $asked): JsonResponse
    {
        $width = (new Shrinkage($asked->green / 100))->width(
            Length::ofMetres($asked->millimetres / 1000),
            Moisture::dryBasis($asked->now / 100),
            Moisture::dryBasis($asked->then / 100),
        );

        return $this->found(FigureFoundView::one(FigureName::Millimetres, 1000 * $width->metres()));
    }

    private function found(FigureFoundView ...$figures): JsonResponse
    {
        return $this->json(new FiguresFoundView(array_values($figures)));
    }
}

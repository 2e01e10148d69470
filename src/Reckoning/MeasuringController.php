<?php

declare(strict_types=1);

namespace App\Reckoning;

use App\Reckoning\Input\AgeQuery;
use App\Reckoning\Input\AnglesQuery;
use App\Reckoning\Input\LeanQuery;
use App\Reckoning\Input\PointsQuery;
use App\Reckoning\Input\RingsQuery;
use App\Reckoning\Input\ShadowQuery;
use App\Reckoning\Input\SpreadQuery;
use App\Reckoning\Input\StemsQuery;
use App\Reckoning\Input\StickQuery;
use App\Reckoning\Input\TwigQuery;
use App\Reckoning\View\FigureFoundView;
use App\Reckoning\View\FigureName;
use App\Reckoning\View\FiguresFoundView;
use App\Web\ApiController;
use App\Web\Refused;
use Hylognosis\Crop\TreeAge;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Measure\ChampionPoints;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Measured;
use Hylognosis\Measure\RingCount;
use Hylognosis\Measure\TreeSize;
use Hylognosis\Measure\TwigYears;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\Routing\Attribute\Route;

/** Sizes and ages of trees, by what one has at hand. Nothing of it is kept. */
#[OA\Tag('measuring')]
#[OA\Response(response: 200, description: 'What comes of it.', content: new Model(type: FiguresFoundView::class))]
#[OA\Response(
    response: 422,
    description: 'Nothing can be measured so.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class MeasuringController extends ApiController
{
    #[Route('/api/measuring/stems', methods: ['GET'])]
    public function stems(#[MapQueryString(validationFailedStatusCode: 422)] StemsQuery $asked): JsonResponse
    {
        $girths = array_map(static fn (float $cm): Length => Length::ofMetres($cm / 100), self::numbers($asked->girths));
        $diameter = $this->tried('girths', static fn (): Length => TreeSize::diameterOfStems($girths));

        return $this->found(
            FigureFoundView::one(FigureName::DiameterCentimetres, 100 * $diameter->metres()),
            FigureFoundView::one(FigureName::GirthCentimetres, 100 * \M_PI * $diameter->metres()),
        );
    }

    #[Route('/api/measuring/height/angles', methods: ['GET'])]
    public function angles(#[MapQueryString(validationFailedStatusCode: 422)] AnglesQuery $asked): JsonResponse
    {
        return $this->height(
            $this->tried(
                'top',
                static fn (): Measured => TreeSize::heightByAngles(
                    Length::ofMetres($asked->distance),
                    $asked->top,
                    $asked->foot,
                    $asked->paced,
                ),
            ),
        );
    }

    #[Route('/api/measuring/height/stick', methods: ['GET'])]
    public function stick(#[MapQueryString(validationFailedStatusCode: 422)] StickQuery $asked): JsonResponse
    {
        return $this->height(
            TreeSize::heightByStick(
                Length::ofMetres($asked->stick / 100),
                Length::ofMetres($asked->near / 100),
                Length::ofMetres($asked->far),
            ),
        );
    }

    #[Route('/api/measuring/height/shadow', methods: ['GET'])]
    public function shadow(#[MapQueryString(validationFailedStatusCode: 422)] ShadowQuery $asked): JsonResponse
    {
        return $this->height(
            TreeSize::heightByShadow(
                Length::ofMetres($asked->pole),
                Length::ofMetres($asked->near),
                Length::ofMetres($asked->far),
            ),
        );
    }

    #[Route('/api/measuring/spread', methods: ['GET'])]
    public function spread(#[MapQueryString(validationFailedStatusCode: 422)] SpreadQuery $asked): JsonResponse
    {
        $spread = TreeSize::spread(Length::ofMetres($asked->widest), Length::ofMetres($asked->square));

        return $this->found(FigureFoundView::one(FigureName::SpreadMetres, $spread->metres()));
    }

    #[Route('/api/measuring/lean', methods: ['GET'])]
    public function lean(#[MapQueryString(validationFailedStatusCode: 422)] LeanQuery $asked): JsonResponse
    {
        return $this->found(
            FigureFoundView::one(
                FigureName::LeanDegrees,
                TreeSize::lean(Length::ofMetres($asked->aside), Length::ofMetres($asked->height)),
            ),
        );
    }

    /** Points as the American register of champion trees gives them, and whether a lead is one. */
    #[Route('/api/measuring/points', methods: ['GET'])]
    public function points(#[MapQueryString(validationFailedStatusCode: 422)] PointsQuery $asked): JsonResponse
    {
        $one = self::pointsOf($asked->girth, $asked->height, $asked->spread);
        $figures = [
            FigureFoundView::one(FigureName::Points, $one->points),
            new FigureFoundView(
                FigureName::PointsBetween,
                $one->points - 1.96 * $one->error,
                $one->points + 1.96 * $one->error,
            ),
        ];
        if ($asked->otherGirth > 0.0) {
            $other = self::pointsOf($asked->otherGirth, $asked->otherHeight, $asked->otherSpread);
            $figures[] = FigureFoundView::one(FigureName::OtherPoints, $other->points);
            $figures[] = FigureFoundView::one(
                $one->leads($other) || $other->leads($one) ? FigureName::Lead : FigureName::NoLead,
                $one->points - $other->points,
            );
        }

        return $this->found(...$figures);
    }

    #[Route('/api/measuring/age', methods: ['GET'])]
    public function age(#[MapQueryString(validationFailedStatusCode: 422)] AgeQuery $asked): JsonResponse
    {
        $factor = $this->tried(
            'high',
            static fn (): NumberRange => NumberRange::of($asked->low, $asked->low, $asked->high, $asked->high),
        );

        return $this->found(
            new FigureFoundView(FigureName::AgeYears, ...TreeAge::of(Length::ofMetres($asked->girth / 100), $factor)),
        );
    }

    #[Route('/api/measuring/rings', methods: ['GET'])]
    public function rings(#[MapQueryString(validationFailedStatusCode: 422)] RingsQuery $asked): JsonResponse
    {
        [$least, $most] = $this->tried(
            'over',
            static fn (): array => RingCount::age(
                $asked->rings,
                Length::ofMetres($asked->over / 100),
                Length::ofMetres($asked->radius / 100),
            ),
        );

        return $this->found(new FigureFoundView(FigureName::RingYears, $least, $most));
    }

    #[Route('/api/measuring/twig', methods: ['GET'])]
    public function twig(#[MapQueryString(validationFailedStatusCode: 422)] TwigQuery $asked): JsonResponse
    {
        $pieces = array_map(
            static fn (float $mm): Length => Length::ofMetres($mm / 1000),
            self::numbers($asked->pieces),
        );
        $twig = $this->tried('pieces', static fn (): TwigYears => TwigYears::of($pieces, $asked->growing));

        return $this->found(
            FigureFoundView::one(FigureName::TwigYears, $twig->years),
            FigureFoundView::one(FigureName::YearGrowthMillimetres, 1000 * $twig->middle->metres()),
            FigureFoundView::one(FigureName::LastYearTimes, $twig->last),
        );
    }

    private static function pointsOf(float $girth, float $height, float $spread): ChampionPoints
    {
        return ChampionPoints::of(Length::ofMetres($girth / 100), Length::ofMetres($height), Length::ofMetres($spread));
    }

    private function height(Measured $height): JsonResponse
    {
        $metres = $height->length->metres();

        return $this->found(
            FigureFoundView::one(FigureName::HeightMetres, $metres),
            new FigureFoundView(
                FigureName::HeightBetweenMetres,
                max(0.0, $metres - $height->likely()->metres()),
                $metres + $height->likely()->metres(),
            ),
        );
    }

    /** @return non-empty-list<float> */
    private static function numbers(string $text): array
    {
        return array_map(floatval(...), explode(' ', $text));
    }

    /**
     * @template T
     *
     * @param \Closure(): T $measure
     *
     * @return T
     */
    private function tried(string $field, \Closure $measure): mixed
    {
        try {
            return $measure();
        } catch (\InvalidArgumentException $impossible) {
            throw Refused::field($field, $impossible->getMessage());
        }
    }

    private function found(FigureFoundView ...$figures): JsonResponse
    {
        return $this->json(new FiguresFoundView(array_values($figures)));
    }
}

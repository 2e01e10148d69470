<?php

declare(strict_types=1);

namespace App\Tests\Core\Crop;

use Hylognosis\Crop\CropGrade;
use Hylognosis\Crop\CropOutlook;
use Hylognosis\Crop\CropPoint;
use Hylognosis\Crop\CropPointKind;
use Hylognosis\Crop\CropSigns;
use Hylognosis\Crop\LateFrost;
use Hylognosis\Crop\MastYears;
use Hylognosis\Crop\Take;
use Hylognosis\Crop\TreeAge;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Temperature;
use Hylognosis\Season\Partner;
use Hylognosis\Weather\DailyWeather;
use PHPUnit\Framework\TestCase;

/** What may be expected of a crop: what each sign does to it. */
final class CropOutlookTest extends TestCase
{
    private const OAK = ['mast-interval' => '3–7', 'bears-from' => '40–80', 'best-years' => '80–200'];

    public function testAGoodYearIsNotExpectedSoonAfterAnother(): void
    {
        $interval = NumberRange::parse('3–7');
        $none = MastYears::chances($interval, [], 2027);
        self::assertEqualsWithDelta(0.2, $none['good'], 1e-9, 'one in five');
        $after = MastYears::chances($interval, [2026 => CropGrade::Good], 2027);
        $due = MastYears::chances($interval, [2020 => CropGrade::Good], 2027);
        self::assertLessThan($none['good'], $after['good']);
        self::assertGreaterThan(0.6, $due['good'], 'seven years without one');
        foreach ([$none, $after, $due] as $chances) {
            self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9);
        }
        self::assertNull(MastYears::sinceGood([2027 => CropGrade::Good, 2025 => CropGrade::Fair], 2027));
    }

    public function testWhatTheSchoolSawCountsWithWhatTheFloraSays(): void
    {
        $poor = array_fill(2015, 12, CropGrade::Poor);
        self::assertGreaterThan(0.8, MastYears::chances(NumberRange::parse('1'), $poor, 2027)['poor']);
        self::assertSame(
            MastYears::chances(null, $poor, 2027),
            MastYears::chances(null, $poor + [2027 => CropGrade::Good], 2027),
            'the year itself is not its own past',
        );
    }

    public function testEachSignSpeaksAndMovesTheCrop(): void
    {
        $usual = self::outlook();
        foreach (
            [
                [CropPointKind::SeenBare, -1, ['grades' => [2027 => CropGrade::None]]],
                [CropPointKind::SeenHanging, 1, ['grades' => [2027 => CropGrade::Good]]],
                [CropPointKind::OthersBare, -1, ['others' => CropGrade::None]],
                [CropPointKind::OthersHanging, 1, ['others' => CropGrade::Good]],
                [CropPointKind::FlowersSeen, 1, ['hasFlowered' => true]],
                [CropPointKind::GoodYearDue, 1, ['grades' => [2020 => CropGrade::Good]]],
                [CropPointKind::AfterGoodYear, -1, ['grades' => [2026 => CropGrade::Good]]],
                [CropPointKind::Male, -1, ['male' => true, 'wants' => Partner::OtherSex]],
                [CropPointKind::SexUnknown, -1, ['male' => null, 'wants' => Partner::OtherSex, 'partner' => true]],
                [CropPointKind::NoPartnerKnown, -1, ['wants' => Partner::Another, 'partner' => false]],
                [CropPointKind::TooYoung, -1, ['age' => [12.0, 18.0]]],
                [CropPointKind::TooYoung, -1, ['stage' => LifeStage::Sapling]],
                [CropPointKind::BeginsToBear, -1, ['age' => [45.0, 60.0]]],
                [CropPointKind::BeginsToBear, -1, ['stage' => LifeStage::Young]],
                [CropPointKind::PastBest, -1, ['age' => [240.0, 300.0]]],
                [CropPointKind::FrostTook, -1, ['atRisk' => true, 'frost' => self::frost(-4.0)]],
            ] as [$kind, $toward, $signs]
        ) {
            $outlook = self::outlook(...$signs);
            self::assertContains($kind, self::kinds($outlook), $kind->value);
            self::assertSame($toward, self::mean($outlook) <=> self::mean($usual), $kind->value);
        }
        foreach (
            [
                [CropPointKind::PartnerNear, ['wants' => Partner::Another, 'partner' => true]],
                [CropPointKind::PartnerUnknown, ['wants' => Partner::Another]],
                [CropPointKind::BestYears, ['age' => [90.0, 120.0]]],
                [CropPointKind::NoFrost, ['atRisk' => true, 'frost' => self::frost(3.0)]],
                [CropPointKind::FrostUnknown, ['atRisk' => true]],
                [CropPointKind::AgeUnknown, ['stage' => null]],
            ] as [$kind, $signs]
        ) {
            $outlook = self::outlook(...$signs);
            self::assertContains($kind, self::kinds($outlook), $kind->value);
            self::assertEqualsWithDelta(
                self::mean($usual),
                self::mean($outlook),
                0.02 * self::mean($usual),
                'as usual',
            );
        }
    }

    public function testATreeThatHasBorneIsOldEnoughAndHasWhatServesIt(): void
    {
        $signs = ['age' => [12.0, 18.0], 'male' => null, 'wants' => Partner::OtherSex, 'partner' => false];
        self::assertContains(CropPointKind::TooYoung, self::kinds(self::outlook(...$signs)));
        foreach ([['hungBefore' => true], ['takes' => [new Take('O1', 2025, 2000.0)]]] as $proof) {
            self::assertSame(
                [],
                array_intersect(
                    array_map(
                        static fn (CropPointKind $k): string => $k->value,
                        self::kinds(self::outlook(...[...$signs, ...$proof])),
                    ),
                    ['too-young', 'sex-unknown', 'no-partner-known'],
                ),
            );
        }
        self::assertContains(
            CropPointKind::TooYoung,
            self::kinds(self::outlook(...[...$signs, 'takes' => [new Take('O2', 2025, 2000.0)]])),
            'another tree proves nothing of this one',
        );
    }

    public function testFrostCostsATenthAndNineTenthsWhereTheTableSaysSo(): void
    {
        self::assertEqualsWithDelta(0.1, self::frost(-2.2)->loss ?? 0, 1e-9);
        self::assertEqualsWithDelta(0.9, self::frost(-3.9)->loss ?? 0, 1e-9);
        self::assertLessThan(0.005, self::frost(1.0)->loss ?? 1);
        $day = new \DateTimeImmutable('2027-05-01', new \DateTimeZone('UTC'));
        self::assertNull(LateFrost::between([], $day, $day, -2, -4), 'a night nobody knows is no mild one');
        self::assertNull(
            LateFrost::between([self::night($day, 5)], $day, $day->modify('+9 days'), -2, -4),
            'nor are nine of ten',
        );
        $this->expectException(\InvalidArgumentException::class);
        LateFrost::between([], $day, $day, -4, -2);
    }

    public function testAgeByGirth(): void
    {
        // 314.16 cm round is a diameter of 100 cm, 39.37 inches
        [$least, $most] = TreeAge::of(Length::ofMetres(\M_PI), NumberRange::parse('4–5'));
        self::assertEqualsWithDelta(157.5, $least, 0.1);
        self::assertEqualsWithDelta(196.9, $most, 0.1);
    }

    public function testATypicalCropIsToldFromLessToMoreInOneUnit(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new TypicalCrop(Amount::of(2, AmountUnit::Kilograms), Amount::of(5, AmountUnit::Litres), [], null, true);
    }

    /** @return list<CropPointKind> */
    private static function kinds(CropOutlook $outlook): array
    {
        return array_map(static fn (CropPoint $p): CropPointKind => $p->kind, $outlook->points);
    }

    /**
     * Something that grows with every chance and amount: the fair share of what the middle brings, and of what the best
     * does.
     */
    private static function mean(CropOutlook $outlook): float
    {
        return array_sum($outlook->amounts);
    }

    private static function outlook(mixed ...$signs): CropOutlook
    {
        $figures = array_map(NumberRange::parse(...), self::OAK);
        self::assertArrayHasKey(FigureKind::MastInterval->value, $figures);
        $typical = new TypicalCrop(
            Amount::of(2, AmountUnit::Kilograms),
            Amount::of(12, AmountUnit::Kilograms),
            [],
            null,
            true,
        );

        $usual = [
            'tree' => 'O1',
            'year' => 2027,
            'typical' => $typical,
            'figures' => $figures,
            'stage' => LifeStage::Mature,
            'male' => false,
        ];

        // @phpstan-ignore argument.type (named as its parameters are)
        return CropOutlook::of(new CropSigns(...$signs + $usual));
    }

    private static function frost(float $celsius): ?LateFrost
    {
        $day = new \DateTimeImmutable('2027-05-01', new \DateTimeZone('UTC'));

        return LateFrost::between(
            [
                self::night($day, 6),
                self::night($day->modify('+1 day'), $celsius),
                self::night($day->modify('+2 days'), 8),
            ],
            $day,
            $day->modify('+2 days'),
            -2.2,
            -3.9,
        );
    }

    private static function night(\DateTimeImmutable $day, float $celsius): DailyWeather
    {
        return new DailyWeather($day, Temperature::celsius($celsius), Temperature::celsius(15));
    }
}

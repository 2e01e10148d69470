<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Measure\ChampionPoints;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\RingCount;
use Hylognosis\Measure\TreeSize;
use Hylognosis\Measure\TwigYears;
use PHPUnit\Framework\TestCase;

/** Heights, thickness and lean, by hand: right triangles, and the rules of the handbooks (memory). */
final class TreeSizeTest extends TestCase
{
    /** 20 m away, 45° up and level with the foot: 20 m. With the foot 45° below as well: 40 m. */
    public function testHeightByTwoAngles(): void
    {
        $of = static fn (float $top, float $foot): float => TreeSize::heightByAngles(
            Length::ofMetres(20),
            $top,
            $foot,
        )->length->metres();
        self::assertEqualsWithDelta(20.0, $of(45, 0), 1e-9);
        self::assertEqualsWithDelta(40.0, $of(45, -45), 1e-9);
        // on a slope the foot may lie above the eye
        self::assertEqualsWithDelta(20 * (tan(deg2rad(50)) - tan(deg2rad(10))), $of(50, 10), 1e-9);
    }

    /** First-order propagation, by hand: 45° and 0° at 20 m, half a degree each, 1 % of the tape. */
    public function testItsError(): void
    {
        $height = TreeSize::heightByAngles(Length::ofMetres(20), 45, 0);
        $angle = deg2rad(0.5);
        self::assertEqualsWithDelta(
            sqrt(0.2 ** 2 + (20 * $angle * 2) ** 2 + (20 * $angle) ** 2),
            $height->error->metres(),
            1e-9,
        );
        self::assertEqualsWithDelta(1.96 * $height->error->metres(), $height->likely()->metres(), 1e-12);
        self::assertGreaterThan(
            $height->error->metres(),
            TreeSize::heightByAngles(Length::ofMetres(20), 45, 0, paced: true)->error->metres(),
        );
        $this->expectException(\InvalidArgumentException::class);
        TreeSize::heightByAngles(Length::ofMetres(20), 10, 20);
    }

    public function testHeightByStickAndShadow(): void
    {
        $stick = TreeSize::heightByStick(Length::ofMetres(0.6), Length::ofMetres(0.6), Length::ofMetres(18));
        self::assertEqualsWithDelta(
            18.0,
            $stick->length->metres(),
            1e-9,
            'arm and stick of one length: as far as it is high',
        );
        $shadow = TreeSize::heightByShadow(Length::ofMetres(1.8), Length::ofMetres(2.4), Length::ofMetres(16));
        self::assertEqualsWithDelta(12.0, $shadow->length->metres(), 1e-9);
        self::assertEqualsWithDelta(12 * sqrt(3e-4 + 4e-4), $shadow->error->metres(), 1e-9);
    }

    /** Two stems of 30 and 40 cm are one of 50: three, four, five. */
    public function testThicknessSpreadAndLean(): void
    {
        $girth = static fn (float $centimetres): Length => Length::ofMetres(($centimetres / 100) * \M_PI);
        self::assertEqualsWithDelta(0.3, TreeSize::diameter($girth(30))->metres(), 1e-12);
        self::assertEqualsWithDelta(0.5, TreeSize::diameterOfStems([$girth(30), $girth(40)])->metres(), 1e-12);
        self::assertEqualsWithDelta(9.0, TreeSize::spread(Length::ofMetres(10), Length::ofMetres(8))->metres(), 1e-12);
        self::assertEqualsWithDelta(45.0, TreeSize::lean(Length::ofMetres(2), Length::ofMetres(2)), 1e-9);
    }

    /**
     * 441.5 against 440.25 points is no lead: girth is off by an inch, height by 3 %, spread by 5 % (common practice).
     */
    public function testAChampionLeadsOnlyByMoreThanTheTapeIsOff(): void
    {
        $points = static fn (float $girth, float $height, float $spread): ChampionPoints => ChampionPoints::of(
            Length::ofInches($girth),
            Length::ofFeet($height),
            Length::ofFeet($spread),
        );
        $one = $points(321, 92, 114);
        self::assertEqualsWithDelta(441.5, $one->points, 1e-9);
        self::assertEqualsWithDelta(sqrt(1 + 2.76 ** 2 + 1.425 ** 2), $one->error, 1e-9);
        $other = $points(321, 92, 109);
        self::assertEqualsWithDelta(440.25, $other->points, 1e-9);
        self::assertFalse($one->leads($other));
        self::assertTrue($one->leads($points(245, 104, 117)));
    }

    /** By hand: 60 rings on 20 cm leave 5 cm of 15 rings at their mean width, half as many or twice as many. */
    public function testRingsThatDoNotReachTheMiddle(): void
    {
        self::assertSame(
            [(int) floor(60 - 1.8 + 7.5), (int) ceil(60 + 1.8 + 30)],
            RingCount::age(60, Length::ofMetres(0.2), Length::ofMetres(0.25)),
        );
        self::assertSame([58, 62], RingCount::age(60, Length::ofMetres(0.25), Length::ofMetres(0.25)));
        self::assertSame([1, 2], RingCount::age(1, Length::ofMetres(0.01), Length::ofMetres(0.01)));
        $this->expectException(\InvalidArgumentException::class);
        RingCount::age(60, Length::ofMetres(0.26), Length::ofMetres(0.25));
    }

    /** One ring scar to the next is one season (common practice); what still grows is no whole season. */
    public function testATwigTellsItsYears(): void
    {
        $pieces = array_map(static fn (float $mm): Length => Length::ofMetres($mm / 1000), [30.0, 120.0, 90.0, 105.0]);
        $twig = TwigYears::of($pieces, true);
        self::assertSame(4, $twig->years);
        self::assertEqualsWithDelta(0.105, $twig->middle->metres(), 1e-12);
        self::assertEqualsWithDelta(120 / 105, $twig->last, 1e-12);
        self::assertEqualsWithDelta(0.0975, TwigYears::of($pieces, false)->middle->metres(), 1e-12);
        $this->expectException(\InvalidArgumentException::class);
        TwigYears::of([Length::ofMetres(0.03)], true);
    }
}

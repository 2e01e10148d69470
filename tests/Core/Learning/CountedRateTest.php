<?php

declare(strict_types=1);

namespace App\Tests\Core\Learning;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Learning\CountedRate;
use Hylognosis\Learning\Reading;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Eye;
use PHPUnit\Framework\TestCase;

/** A rate that is counted, and an eye that reads by it. */
final class CountedRateTest extends TestCase
{
    /** By hand: 9 of 40 misread over a flora’s rate r worth 20 looks is (9 + 20 r) / 60. */
    public function testTheFloraStandsBehindTheCountsLikeTwentyLooks(): void
    {
        $character = Starter::flora()->character('leaf.arrangement');
        $said = $character->legibility->misreading;
        $rate = CountedRate::of($character, self::readings(31, 9));
        self::assertSame([40, 9], [$rate->looks, $rate->wrong]);
        self::assertEqualsWithDelta((9 + 20 * $said) / 60, $rate->rate, 1e-9);
        self::assertLessThan($rate->rate, $rate->low);
        self::assertGreaterThan($rate->rate, $rate->high);
        self::assertTrue($rate->isWellFounded());
        self::assertFalse(CountedRate::of($character, self::readings(20, 9))->isWellFounded());
        self::assertEqualsWithDelta($said, CountedRate::of($character, [])->rate, 1e-9, 'nobody looked');
        self::assertSame(0.3, CountedRate::of($character, self::readings(0, 90))->proposed(), 'no flora takes more');
    }

    public function testACountedEyeReadsAsCountedAndTheRestInProportion(): void
    {
        $compiled = CompiledFlora::of(Starter::flora(), LifeStage::Mature);
        $arrangement = Starter::flora()->character('leaf.arrangement');
        $kind = Starter::flora()->character('leaf.kind');
        $eye = Eye::counted([$arrangement->id => 2 * $arrangement->legibility->misreading], $compiled);
        self::assertEqualsWithDelta(2 * $arrangement->legibility->misreading, $eye->rate($arrangement), 1e-12);
        self::assertEqualsWithDelta(2 * $kind->legibility->misreading, $eye->rate($kind), 1e-12);
        $nobody = Eye::counted([], $compiled);
        self::assertEqualsWithDelta($kind->legibility->misreading, $nobody->rate($kind), 1e-12);
        self::assertNotEquals(Eye::of(ExaminerKind::Careless, $compiled)->rate($kind), $nobody->rate($kind));
    }

    /** @return list<Reading> */
    private static function readings(int $right, int $wrong): array
    {
        $reading = static fn (string $read): Reading => new Reading(
            'leaf.arrangement',
            ['opposite'],
            [$read],
            Certainty::Sure,
            new \DateTimeImmutable('2027-05-01'),
        );

        return [...array_fill(0, $right, $reading('opposite')), ...array_fill(0, $wrong, $reading('alternate'))];
    }
}

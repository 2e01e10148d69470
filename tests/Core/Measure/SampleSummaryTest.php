<?php

declare(strict_types=1);

namespace App\Tests\Core\Measure;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Finding;
use Hylognosis\Measure\Proportion;
use Hylognosis\Measure\SampleSummary;
use PHPUnit\Framework\TestCase;

final class SampleSummaryTest extends TestCase
{
    public function testMeanAndSpreadAreThoseOfASample(): void
    {
        $summary = SampleSummary::of([5.0, 7.0, 7.0, 9.0]);
        self::assertSame([4, 5.0, 9.0, 7.0], [$summary->count, $summary->least, $summary->most, $summary->mean]);
        self::assertEqualsWithDelta(sqrt(8 / 3), $summary->standardDeviation, 1e-12);
        self::assertSame('5 to 9, mean 7, spread 1.6, on 4', $summary->words());
        self::assertSame('7, on 2', SampleSummary::of([7.0, 7.0])->words());
    }

    public function testRepeatedCountsOfOneTreeAreSummedUpTogether(): void
    {
        $finding = Finding::of([
            Starter::observe('leaf.leaflet-count', [5, 7]),
            Starter::observe('leaf.leaflet-count', [7]),
        ]);
        self::assertSame(3, $finding->summary()?->count);
        self::assertNull(Finding::of([Starter::observe('leaf.kind', 'pinnate')])->summary());
    }

    public function testNothingCannotBeSummedUp(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        SampleSummary::of([]);
    }

    public function testLengthsAreTakenInAnyUnitAndCountsInNone(): void
    {
        $length = Starter::flora()->character('leaf.length');
        self::assertEqualsWithDelta(10.16, $length->inOwnUnit(4.0, 'in'), 1e-9);
        self::assertSame(4.0, $length->inOwnUnit(4.0, null));
        $this->expectExceptionMessage('is counted; it has no unit');
        Starter::flora()->character('leaf.leaflet-count')->inOwnUnit(4.0, 'cm');
    }

    public function testAnIntervalHoldsTheShareAndNarrowsWithMoreTrials(): void
    {
        [$low, $high] = Proportion::of(27, 30)->wilson();
        self::assertTrue($low < 0.9 && 0.9 < $high);
        [$lower, $higher] = Proportion::of(270, 300)->wilson();
        self::assertGreaterThan($low, $lower);
        self::assertLessThan($high, $higher);
    }
}

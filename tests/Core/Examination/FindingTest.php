<?php

declare(strict_types=1);

namespace App\Tests\Core\Examination;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use PHPUnit\Framework\TestCase;

final class FindingTest extends TestCase
{
    public function testRepeatsThatAgreeAddTheirSamples(): void
    {
        $finding = Finding::of([self::arrangement('opposite', 2), self::arrangement('opposite', 3)]);
        self::assertFalse($finding->disagrees);
        self::assertSame(5, $finding->decidingSamples());
        self::assertSame(['opposite'], $finding->decidingValues());
    }

    public function testScoresThatCannotBothBeRightDisagreeAndDecideNothing(): void
    {
        $finding = Finding::of([self::arrangement('opposite'), self::arrangement('alternate')]);
        self::assertTrue($finding->disagrees);
        self::assertSame([], $finding->decidingValues());
        self::assertSame(['alternate', 'opposite'], $finding->values());
    }

    public function testAFurtherSureLookSettlesADisagreementAndKeepsAllScores(): void
    {
        $finding = Finding::of([self::arrangement('opposite'), self::arrangement('alternate'), self::arrangement('opposite')]);
        self::assertFalse($finding->disagrees);
        self::assertSame(['opposite'], $finding->values());
        self::assertCount(3, $finding->all);
    }

    public function testAnUnsureLookSettlesNothing(): void
    {
        self::assertTrue(Finding::of([self::arrangement('opposite'), self::arrangement('alternate'), self::arrangement('opposite', 1, Certainty::Unsure)])->disagrees);
    }

    public function testATreeThatShowsSeveralStatesIsNoDisagreement(): void
    {
        $character = Starter::flora()->character('leaf.arrangement');
        $both = Observation::ofStates($character, ['opposite', 'whorled'], Certainty::Sure, 3, Whereabouts::Tree);
        $finding = Finding::of([self::arrangement('opposite'), $both, self::arrangement('whorled')]);
        self::assertFalse($finding->disagrees);
        self::assertSame(['opposite', 'whorled'], $finding->decidingValues());
    }

    public function testLitterAndDoubtDoNotDecide(): void
    {
        $litter = Starter::observe('fruit.nut', 'tassel', 5, Certainty::Sure, Whereabouts::Ground);
        self::assertTrue(Finding::of([$litter])->isLitter());
        self::assertSame([], Finding::of([$litter])->decidingValues());
        self::assertSame([], Finding::of([self::arrangement('opposite', 4, Certainty::Likely)])->decidingValues());
    }

    public function testSureOnLitterAndUnsureOnTheTreeDoNotAddUpToSureOnTheTree(): void
    {
        $finding = Finding::of([
            Starter::observe('fruit.nut', 'tassel', 5, Certainty::Sure, Whereabouts::Ground),
            Starter::observe('fruit.nut', 'tassel', 5, Certainty::Unsure),
        ]);
        self::assertSame(0, $finding->decidingSamples());
    }

    public function testNumbersDisagreeOnlyWhenFarApart(): void
    {
        self::assertFalse(Finding::of([Starter::observe('leaf.leaflet-count', [5]), Starter::observe('leaf.leaflet-count', [7, 7])])->disagrees);
        self::assertTrue(Finding::of([Starter::observe('leaf.leaflet-count', [15]), Starter::observe('leaf.leaflet-count', [5, 7])])->disagrees);
    }

    public function testAnObservationRefusesWhatDoesNotSuitItsCharacter(): void
    {
        foreach ([
            static fn () => Starter::observe('leaf.leaflet-count', 'opposite'),
            static fn () => Starter::observe('leaf.leaflet-count', [5.5]),
            static fn () => Starter::observe('leaf.kind', [3]),
            static fn () => Starter::observe('leaf.kind', 'pinnate', 0),
            static fn () => Starter::observe('leaf.length', [-1]),
        ] as $wrong) {
            try {
                $wrong();
                self::fail('It was taken.');
            } catch (\InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    private static function arrangement(string $state, int $samples = 1, Certainty $certainty = Certainty::Sure): Observation
    {
        return Starter::observe('leaf.arrangement', $state, $samples, $certainty);
    }
}

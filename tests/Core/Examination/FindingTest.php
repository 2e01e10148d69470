<?php

declare(strict_types=1);

namespace App\Tests\Core\Examination;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Reading;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Position;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FindingTest extends TestCase
{
    public function testTheSameTwigScoredTwiceIsOneTwig(): void
    {
        $finding = Finding::of([self::arrangement('opposite', 2), self::arrangement('opposite', 3)]);
        self::assertFalse($finding->disagrees);
        self::assertSame(3, $finding->samples());
        self::assertSame(['opposite'], self::deciding($finding));
    }

    public function testScoresThatCannotBothBeRightDisagreeAndDecideNothing(): void
    {
        $finding = Finding::of([self::arrangement('opposite'), self::arrangement('alternate')]);
        self::assertTrue($finding->disagrees);
        self::assertSame([], self::deciding($finding));
        self::assertSame(['alternate', 'opposite'], $finding->values());
    }

    /** @return iterable<string, array{list<Observation>, bool, list<string>}> */
    public static function disputes(): iterable
    {
        [$a, $b] = [self::arrangement('opposite'), self::arrangement('alternate')];
        [$aAgain, $bAgain] = [Starter::further($a), Starter::further($b)];
        $both = Observation::ofStates($a->character, ['alternate', 'opposite'], Certainty::Sure, 3, Whereabouts::Tree);
        yield 'a further look settles it' => [[$a, $b, $aAgain], false, ['opposite']];
        yield 'a tap is no further look' => [[$b, $a, $a], true, []];
        yield 'however many taps' => [[$b, $a, $a, $a], true, []];
        yield 'an unsure look settles nothing' => [
            [$a, $b, Starter::further(self::arrangement('opposite', 1, Certainty::Unsure))],
            true,
            [],
        ];
        yield 'a tie settles nothing' => [[$a, $b, $aAgain, $bAgain], true, []];
        yield 'one further look does not outvote two' => [[$a, $b, $bAgain, $aAgain], true, []];
        yield 'both at once does not settle which' => [[$a, $b, $both], true, []];
        yield 'nor does both, looked at again' => [[$a, $b, Starter::further($both)], true, []];
        yield 'both alone is no dispute with one of them' => [[$a, $both], false, ['alternate', 'opposite']];
        yield 'what was taken back still disputes' => [[Starter::takenBack($b), $a], true, []];
        yield 'until it is looked at again' => [[Starter::takenBack($b), $a, $aAgain], false, ['opposite']];
        yield 'what was taken back and agrees disputes nothing' => [[Starter::takenBack($a), $a], false, ['opposite']];
        yield 'after five looks nothing is settled any more' => [
            [$b, $a, $aAgain, $aAgain, $aAgain, $aAgain],
            true,
            [],
        ];
    }

    /**
     * @param non-empty-list<Observation> $looks
     * @param list<string>                $standing
     */
    #[DataProvider('disputes')]
    public function testADisputeIsSettledByFurtherLooksOnly(array $looks, bool $disagrees, array $standing): void
    {
        foreach ([$looks, array_reverse($looks)] as $order) {
            $finding = Finding::of($order);
            self::assertSame($disagrees, $finding->disagrees);
            self::assertSame($standing, self::deciding($finding));
            self::assertCount(\count($looks), $finding->all);
        }
    }

    public function testAFurtherLookIsAnotherActAtAnotherTime(): void
    {
        $at = static fn (Observation $o, string $time, bool $further): Observation => Observation::ofStates(
            $o->character,
            ['opposite' === $o->states[0] ? 'opposite' : 'alternate'],
            $o->certainty,
            $o->samples,
            $o->where,
            null,
            false,
            new Look($further, new \DateTimeImmutable('2027-06-14 '.$time)),
        );
        $looks = static fn (string $last): array => [
            $at(self::arrangement('alternate'), '10:00:00', false),
            $at(self::arrangement('opposite'), '10:00:05', false),
            $at(self::arrangement('opposite'), $last, true),
        ];
        self::assertTrue(Finding::of($looks('10:00:15'))->disagrees, 'ten seconds after the other is the same act');
        self::assertFalse(Finding::of($looks('10:00:20'))->disagrees);
    }

    public function testHeightsOfOneTreeNeitherDisagreeNorHideThatOneOfThemDoes(): void
    {
        $bark = static fn (
            string $state,
            ?Position $height,
            Certainty $certainty = Certainty::Sure,
        ): Observation => Observation::ofStates(
            Starter::flora()->character('bark.surface'),
            [$state],
            $certainty,
            1,
            Whereabouts::Tree,
            $height,
        );
        self::assertFalse(Finding::of([$bark('corky', Position::Low), $bark('smooth', Position::High)])->disagrees);
        self::assertTrue(
            Finding::of([$bark('corky', null), $bark('smooth', Position::Middle)])->disagrees,
            'nothing said is the middle',
        );
        self::assertTrue(
            Finding::of([
                $bark('corky', Position::Low),
                $bark('smooth', Position::Low),
                $bark('smooth', Position::High, Certainty::Unsure),
            ])->disagrees,
        );
    }

    public function testOneOfSeveralIsOneReadingAndSeveralAreSeveral(): void
    {
        $character = Starter::flora()->character('leaf.arrangement');
        $either = Observation::ofStates(
            $character,
            ['opposite', 'whorled'],
            Certainty::Sure,
            3,
            Whereabouts::Tree,
            either: true,
        );
        self::assertSame(
            [['opposite', 'whorled']],
            array_map(static fn (Reading $r): array => $r->oneOf, $either->readings()),
        );
        $several = Observation::ofStates($character, ['opposite', 'whorled'], Certainty::Sure, 3, Whereabouts::Tree);
        self::assertSame(
            [['opposite'], ['whorled']],
            array_map(static fn (Reading $r): array => $r->oneOf, $several->readings()),
        );
    }

    public function testAnUnsureGlanceUpDoesNotLendWeightToWhatLiesBelow(): void
    {
        $ground = Starter::observe('fruit.nut', 'tassel', 5, Certainty::Sure, Whereabouts::Ground);
        self::assertTrue(
            Finding::of([$ground, Starter::observe('fruit.nut', 'tassel', 1, Certainty::Unsure)])->isLitter(),
        );
        self::assertFalse(
            Finding::of([$ground, Starter::observe('fruit.nut', 'tassel', 1, Certainty::Likely)])->isLitter(),
        );
    }

    public function testOneCharacterIsNotScoredWithoutEnd(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        $this->expectExceptionMessage('is scored 21 times');
        Starter::examination(array_fill(0, 21, self::arrangement('opposite')));
    }

    public function testLitterAndDoubtDoNotDecide(): void
    {
        $litter = Starter::observe('fruit.nut', 'tassel', 5, Certainty::Sure, Whereabouts::Ground);
        self::assertTrue(Finding::of([$litter])->isLitter());
        self::assertSame([], Finding::of([$litter])->decidingReadings());
        self::assertSame([], Finding::of([self::arrangement('opposite', 4, Certainty::Likely)])->decidingReadings());
    }

    public function testSureOnLitterAndUnsureOnTheTreeDoNotAddUpToSureOnTheTree(): void
    {
        $finding = Finding::of([
            Starter::observe('fruit.nut', 'tassel', 5, Certainty::Sure, Whereabouts::Ground),
            Starter::observe('fruit.nut', 'tassel', 5, Certainty::Unsure),
        ]);
        self::assertSame([], $finding->decidingObservations());
    }

    public function testNumbersDisagreeOnlyWhenFarApart(): void
    {
        self::assertFalse(
            Finding::of([Starter::observe('leaf.leaflet-count', [5]), Starter::observe('leaf.leaflet-count', [7, 7])])
                ->disagrees,
        );
        self::assertTrue(
            Finding::of([Starter::observe('leaf.leaflet-count', [15]), Starter::observe('leaf.leaflet-count', [5, 7])])
                ->disagrees,
        );
    }

    public function testAnObservationRefusesWhatDoesNotSuitItsCharacter(): void
    {
        foreach (
            [
                static fn () => Starter::observe('leaf.leaflet-count', 'opposite'),
                static fn () => Starter::observe('leaf.leaflet-count', [5.5]),
                static fn () => Starter::observe('leaf.kind', [3]),
                static fn () => Starter::observe('leaf.kind', 'pinnate', 0),
                static fn () => Starter::observe('leaf.length', [-1]),
            ] as $wrong
        ) {
            try {
                $wrong();
                self::fail('It was taken.');
            } catch (\InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    /** @return list<string> */
    private static function deciding(Finding $finding): array
    {
        $values = array_merge(...array_map(static fn (Reading $r): array => $r->oneOf, $finding->decidingReadings()));
        $states = array_values(array_unique(array_filter($values, is_string(...))));
        sort($states);

        return $states;
    }

    private static function arrangement(
        string $state,
        int $samples = 1,
        Certainty $certainty = Certainty::Sure,
    ): Observation {
        return Starter::observe('leaf.arrangement', $state, $samples, $certainty);
    }
}

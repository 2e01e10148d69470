<?php

declare(strict_types=1);

namespace App\Tests\Core\Learning;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Learning\CharacterAgreement;
use Hylognosis\Learning\LearnersDecision;
use Hylognosis\Learning\PracticeMark;
use Hylognosis\Learning\PracticeTree;
use Hylognosis\Learning\Reading;
use Hylognosis\Learning\WhatToAsk;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Practice trees and their marks, what is asked next, and how far people agree. */
final class LearningTest extends TestCase
{
    public function testTheSameSeedDrawsTheSameTreeWithinWhatItsKindShows(): void
    {
        $compiled = Starter::compiled();
        $elder = $compiled->flora->taxon('sambucus-nigra');
        $phenology = Phenology::at($compiled->flora, $compiled->flora->reference);
        $day = DayOfYear::parse('06-14');
        $drawn = static fn (int $n): PracticeTree => PracticeTree::of($compiled, $elder->id, $phenology, $day, $n);
        $shown = static fn (PracticeTree $t): array => array_map($t->all(...), $t->characters());
        self::assertSame($shown($drawn(7)), $shown($drawn(7)));
        $different = 0;
        for ($seed = 0; $seed < 60; ++$seed) {
            $tree = $drawn($seed);
            $different += $shown($tree) === $shown($drawn(7)) ? 0 : 1;
            foreach ($tree->characters() as $id) {
                $range = $elder->description->range($id);
                foreach ($tree->all($id) as $value) {
                    if (\is_float($value)) {
                        self::assertTrue($range?->allows($value), "$id $value");
                    } else {
                        self::assertArrayHasKey($value, $elder->description->frequencies($id) ?? [], $id);
                    }
                }
            }
        }
        self::assertGreaterThan(40, $different);
        self::assertNull($drawn(1)->at('no-such-character', 0));
        $winter = PracticeTree::of($compiled, $elder->id, $phenology, DayOfYear::parse('01-15'), 7);
        self::assertNotContains('leaf.kind', $winter->characters(), 'in January there is no leaf to be looked at');
    }

    /** @return iterable<string, array{LearnersDecision, bool, bool, float}> */
    public static function decisions(): iterable
    {
        [$take, $wait, $never] = LearnersDecision::cases();
        yield 'taken, the right one, enough' => [$take, true, true, 1.0];
        yield 'taken too soon' => [$take, true, false, 0.0];
        yield 'taken, another one' => [$take, false, false, 0.0];
        yield 'taken, another one, misread so far that the gate was open' => [$take, false, true, 0.0];
        yield 'waited, rightly' => [$wait, true, false, 1.0];
        yield 'waited, though enough' => [$wait, true, true, 0.8];
        yield 'waited, another one' => [$wait, false, false, 1.0];
        yield 'waited, another one, though misread' => [$wait, false, true, 1.0];
        yield 'left alone, another one' => [$never, false, false, 1.0];
        yield 'left alone, the right one' => [$never, true, true, 0.5];
    }

    #[DataProvider('decisions')]
    public function testNotYetIsAFullMarkWhereItIsRight(
        LearnersDecision $decision,
        bool $isWanted,
        bool $isOpen,
        float $share,
    ): void {
        self::assertSame($share, PracticeMark::of($decision, $isWanted, $isOpen)->share());
    }

    public function testAReadingIsRightIfAllOfItIsThere(): void
    {
        self::assertTrue(self::isRight('leaf.arrangement', ['opposite', 'whorled'], ['opposite']));
        self::assertFalse(self::isRight('leaf.arrangement', ['opposite'], ['opposite', 'alternate']));
        self::assertFalse(self::isRight('leaf.arrangement', ['opposite'], []));
        self::assertTrue(self::isRight('leaf.length', [60.0, 80.0], [50.0]), 'within a fifth');
        self::assertFalse(self::isRight('leaf.length', [60.0, 80.0], [100.0]));
        self::assertTrue(self::isRight('leaf.leaflet-count', [5.0, 7.0], [6.0]), 'between two that are there');
        self::assertFalse(self::isRight('leaf.leaflet-count', [7.0], [6.0]), 'a count is exact');
    }

    public function testWhatIsDueHardestFirstThenWhatIsConfusedMost(): void
    {
        $due = ['easy' => 2.6, 'hard' => 1.3, 'middling' => 2.1];
        $fresh = ['rarely' => 0.02, 'often' => 0.4];
        self::assertSame(['hard', 'middling', 'often'], WhatToAsk::of($due, $fresh, 3));
        self::assertSame(['hard', 'middling', 'easy'], WhatToAsk::of($due, [], 3));
        self::assertSame(['often', 'rarely'], WhatToAsk::of([], $fresh, 3));
        self::assertSame([], WhatToAsk::of([], [], 3));
    }

    public function testKappaIsCohensOfTheSameTwoElseFleisss(): void
    {
        $two = [
            ['Ida' => 'opposite', 'Senna' => 'opposite'],
            ['Ida' => 'alternate', 'Senna' => 'opposite'],
            ['Senna' => 'alternate', 'Ida' => 'alternate'],
            ['Ida' => 'opposite', 'Senna' => 'opposite'],
        ];
        $cohen = CharacterAgreement::byPeople($two);
        self::assertTrue($cohen->isCohens);
        // by hand: 3 of 4 alike; by chance 2/4 · 3/4 + 2/4 · 1/4 = 1/2
        self::assertEqualsWithDelta(0.5, $cohen->kappa, 1e-12);
        self::assertNotNull($cohen->kappaInterval);
        $others = CharacterAgreement::byPeople([['Tobias' => 'opposite', 'Ida' => 'opposite'], ...$two]);
        self::assertFalse($others->isCohens, 'not always the same two');
        self::assertNotNull($others->kappa);
        self::assertNull(CharacterAgreement::byPeople(\array_slice($two, 0, 2))->kappaInterval, 'of two trees none');
    }

    public function testAgreementHasAnIntervalOfThreeTreesOrMore(): void
    {
        $two = CharacterAgreement::of([['a' => 2], ['a' => 1, 'b' => 1]]);
        self::assertNull($two->interval);
        self::assertNotNull($two->kappa);
        $many = CharacterAgreement::of([...array_fill(0, 30, ['a' => 2]), ...array_fill(0, 3, ['a' => 1, 'b' => 1])]);
        self::assertNotNull($many->interval);
        self::assertGreaterThan($many->interval[0], $many->ac1);
        self::assertLessThanOrEqual(1.0, $many->interval[1]);
        self::assertNull(CharacterAgreement::of([['a' => 2], ['a' => 3]])->kappa, 'not the same number on each tree');
        $alike = CharacterAgreement::of(array_fill(0, 5, ['a' => 3]));
        self::assertSame([1.0, [1.0, 1.0]], [$alike->ac1, $alike->interval]);
    }

    /**
     * @param list<string|float> $true
     * @param list<string|float> $read
     */
    private static function isRight(string $id, array $true, array $read): bool
    {
        return (new Reading($id, $true, $read, Certainty::Sure, new \DateTimeImmutable()))->isRight(
            Starter::flora()->character($id),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Severity;
use Hylognosis\Identification\Danger;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** When a yew is excluded, and when not yet. */
final class DangerTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, array{0: string, 1: int, 2?: Certainty, 3?: Whereabouts}>, bool}>
     */
    public static function looks(): iterable
    {
        yield 'nothing seen' => [[], false];
        yield 'one organ, however often' => [
            ['leaf.kind' => ['pinnate', 3], 'leaf.stipules' => ['leafy', 3], 'leaf.margin' => ['smooth', 3]],
            false,
        ];
        yield 'two telling organs' => [['leaf.kind' => ['pinnate', 3], 'leaf.arrangement' => ['opposite', 3]], true];
        yield 'what its description does not list excludes nothing' => [
            ['leaf.kind' => ['pinnate', 3], 'bark.surface' => ['corky', 1], 'outline.stems' => ['herb', 1]],
            false,
        ];
        yield 'bands on needles it does not have, and a leaf it has not: one organ' => [
            ['leaf.bands' => ['two-white', 3], 'leaf.kind' => ['pinnate', 3]],
            false,
        ];
        yield 'not sure' => [
            ['leaf.kind' => ['pinnate', 3], 'leaf.arrangement' => ['opposite', 3, Certainty::Likely]],
            false,
        ];
        yield 'on the ground' => [
            ['leaf.kind' => ['pinnate', 3], 'fruit.kind' => ['nut', 3, Certainty::Sure, Whereabouts::Ground]],
            false,
        ];
        yield 'what the flora is silent on' => [['leaf.kind' => ['pinnate', 3], 'scent.flower' => ['sweet', 3]], false];
    }

    /** @param array<string, array{0: string, 1: int, 2?: Certainty, 3?: Whereabouts}> $scores */
    #[DataProvider('looks')]
    public function testAYewIsExcludedByTwoOrgans(array $scores, bool $excluded): void
    {
        self::assertSame($excluded, self::yew($scores)->isExcluded());
    }

    public function testOneCharacterIsEnoughWhereTheFloraCallsItDecisiveForThePair(): void
    {
        self::assertTrue(self::yew(['leaf.kind' => ['pinnate', 3]], ['leaf.kind'])->isExcluded());
        self::assertTrue(
            self::yew(['leaf.margin' => ['smooth', 3]], ['leaf.margin'])->isExcluded(),
            'an edge of a blade contradicts that it bears needles',
        );
        self::assertFalse(self::yew(['leaf.margin' => ['smooth', 3]], ['twig.pith'])->isExcluded());
    }

    public function testBarkAndOutlineAloneNeverExclude(): void
    {
        self::assertFalse(Danger::suffice([Organ::Bark, Organ::Outline, Organ::Site]));
        self::assertFalse(Danger::suffice([Organ::Leaf]));
        self::assertTrue(Danger::suffice([Organ::Bark, Organ::Leaf]));
        self::assertSame(
            0.5,
            self::yew(['bark.blisters' => ['blisters', 1]])->stepBy(Organ::Outline),
            'two that mislead are no two',
        );
        self::assertSame(1.0, self::yew(['bark.blisters' => ['blisters', 1]])->stepBy(Organ::Twig));
    }

    public function testKnowsHowFarALookWouldBringIt(): void
    {
        $danger = self::yew(['leaf.kind' => ['pinnate', 3]]);
        self::assertSame(0.0, $danger->stepBy(Organ::Leaf));
        self::assertSame(1.0, $danger->stepBy(Organ::Bark));
        self::assertSame(0.5, self::yew([])->stepBy(Organ::Twig));
        $margin = Starter::flora()->character('leaf.margin');
        self::assertSame(0.5, self::yew([])->stepOf($margin));
        self::assertSame(1.0, self::yew([], ['leaf.margin'])->stepOf($margin), 'it decides by itself');
        self::assertSame(
            0.0,
            self::yew(['leaf.margin' => ['smooth', 3]], ['leaf.margin'])->stepOf($margin),
            'nothing is left to decide',
        );
    }

    /**
     * @param array<string, array{0: string, 1: int, 2?: Certainty, 3?: Whereabouts}> $scores
     * @param list<string>                                                             $decisive
     */
    private static function yew(array $scores, array $decisive = []): Danger
    {
        return Danger::weigh(
            Starter::compiled(),
            Danger::seen(Starter::examination(Starter::observations($scores))),
            Starter::flora()->taxon('taxus-baccata'),
            Severity::Deadly,
            $decisive,
        );
    }
}

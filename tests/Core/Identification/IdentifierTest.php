<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Identification\Conclusion;
use PHPUnit\Framework\TestCase;

final class IdentifierTest extends TestCase
{
    public function testNothingScoredLeavesTheUniformPrior(): void
    {
        $identification = Starter::identify([]);
        self::assertEqualsWithDelta(0.1, $identification->unlisted, 1e-12);
        self::assertEqualsWithDelta(
            0.9 / \count(Starter::flora()->taxa),
            $identification->posteriorOf('taxus-baccata'),
            1e-12,
        );
        self::assertSame(Conclusion::TooEarly, $identification->conclusion());
    }

    public function testProbabilitiesSumToOne(): void
    {
        $identification = Starter::identify(Starter::observations(Starter::YEW));
        self::assertEqualsWithDelta(1.0, array_sum($identification->posterior) + $identification->unlisted, 1e-12);
    }

    public function testNamesTheElderAndTheYew(): void
    {
        foreach (
            ['sambucus-nigra' => Starter::ELDER, 'taxus-baccata' => Starter::YEW, 'abies-alba' => Starter::FIR] as $taxon => $scores
        ) {
            $identification = Starter::identify(Starter::observations($scores));
            self::assertSame($taxon, $identification->leader()->taxon);
            self::assertSame(Conclusion::Named, $identification->conclusion());
        }
    }

    public function testATreeTheFloraDoesNotHoldIsNoneOfThese(): void
    {
        // An ash: opposite, feathered, smooth grey bark, black buds pressed close, winged keys in hanging bunches.
        $identification = Starter::identify(
            Starter::observations([
                'leaf.arrangement' => ['opposite', 4],
                'leaf.kind' => ['pinnate', 3],
                'leaf.leaflet-count' => [[11, 13]],
                'twig.pith' => ['narrow', 1],
                'bud.shape' => ['pointed', 3],
                'bud.surface' => ['furry', 3],
                'leaf.stipules' => ['none', 3],
                'fruit.stance' => ['drooping', 2],
                'flower.time' => ['before', 1],
            ]),
        );
        self::assertSame(Conclusion::NoneOfThese, $identification->conclusion());
        self::assertLessThan(0.05, $identification->fit);
    }

    public function testTheOrderOfScoresChangesNothing(): void
    {
        $scores = Starter::observations(Starter::ELDER);
        self::assertEquals(Starter::identify($scores)->posterior, Starter::identify(array_reverse($scores))->posterior);
    }

    public function testDoubtWeakensWhatAScoreSays(): void
    {
        $with = static fn (Certainty $c): float => Starter::identify([
            Starter::observe('leaf.kind', 'needle', 1, $c),
        ])->posteriorOf('taxus-baccata');
        self::assertGreaterThan($with(Certainty::Likely), $with(Certainty::Sure));
        self::assertGreaterThan($with(Certainty::Unsure), $with(Certainty::Likely));
    }

    public function testLitterWeighsLessThanTheTree(): void
    {
        $with = static fn (Whereabouts $w): float => Starter::identify([
            Starter::observe('fruit.nut', 'tassel', 3, Certainty::Sure, $w),
        ])->posteriorOf('castanea-sativa');
        self::assertGreaterThan($with(Whereabouts::Ground), $with(Whereabouts::Tree));
    }

    public function testManyScoresOfOneOrganWeighLessThanAsManyOfSeveral(): void
    {
        // stipules say next to nothing between the two, but share the leaf's weight
        self::assertLessThan(
            self::odds(['leaf.leaflet-count' => [[5, 7]]]),
            self::odds(['leaf.leaflet-count' => [[5, 7]], 'leaf.kind' => ['pinnate', 1]]),
        );
    }

    public function testEvidenceAddsUpExactlyToTheReportedOdds(): void
    {
        $identification = Starter::identify(Starter::observations(Starter::ELDER));
        $sum = array_sum(
            array_map(
                static fn ($c): float => $c->decibans,
                $identification->evidence('sambucus-nigra', 'sambucus-ebulus'),
            ),
        );
        self::assertEqualsWithDelta(
            10 *
                log10($identification->posteriorOf('sambucus-nigra') / $identification->posteriorOf('sambucus-ebulus')),
            $sum,
            1e-9,
        );
    }

    public function testSilenceIsUnknownNotAbsent(): void
    {
        // The flora says nothing of the pith of horse chestnut but what it never is: another score of it neither
        // excludes nor condemns it.
        $identification = Starter::identify([Starter::observe('twig.pith', 'brown-wide')]);
        self::assertGreaterThan(
            3 * $identification->posteriorOf('sambucus-nigra'),
            $identification->posteriorOf('aesculus-hippocastanum'),
        );
    }

    /** @param array<string, array{0: string|list<int>, 1?: int}> $scores */
    private static function odds(array $scores): float
    {
        $identification = Starter::identify(Starter::observations($scores));

        return log($identification->posteriorOf('sambucus-nigra') / $identification->posteriorOf('sorbus-aucuparia'));
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Core\Rehearsal;

use App\Tests\Support\Starter;
use Hylognosis\Flora\Flora;
use Hylognosis\Rehearsal\FloraAudit;
use Hylognosis\Rehearsal\Remark;
use PHPUnit\Framework\TestCase;

final class FloraAuditTest extends TestCase
{
    public function testFindsNoFaultInTheStarterFlora(): void
    {
        self::assertSame([], self::faults(Starter::flora()));
    }

    public function testFindsARequiredFeatureThatCannotBeSeenInTheWindow(): void
    {
        $faults = self::faults(Starter::changed(['taxa/cornus-mas/parts/fruit/window' => ['01-05', '01-25']]));
        self::assertStringContainsString('on no day of its window', implode(' ', $faults));
    }

    public function testFindsARequiredFeatureTheDescriptionDoesNotKnow(): void
    {
        $faults = self::faults(Starter::changed(['taxa/cornus-mas/description/twig.pith' => null]));
        self::assertStringContainsString('twig.pith is required and not described', implode(' ', $faults));
    }

    public function testFindsADangerNothingPartsFromTheWantedTree(): void
    {
        $taxa = Starter::taxonDocuments();
        $flora = Starter::changed([
            'taxa/abies-mala' => ['id' => 'abies-mala', 'hazards' => $taxa['taxus-baccata']['hazards'], 'never' => [], 'parts' => []] +
                $taxa['abies-alba'],
            'dangerous/abies-mala' => 'deadly',
        ]);
        $remarks = array_map(
            static fn (Remark $r): string => $r->where.' '.$r->what,
            (new FloraAudit($flora))->remarks(),
        );
        self::assertMatchesRegularExpression(
            '/abies-alba, young-shoot stays shut: .*abies-mala/',
            implode("\n", $remarks),
        );
    }

    public function testOneOrganDoesNotPartADangerFromTheWantedTree(): void
    {
        $parts = static function (string ...$characters): bool {
            $lines = Starter::taxonDocuments()['taxus-baccata']['never'] ?? [];
            \assert(\is_array($lines));
            $flora = Starter::changed([
                'taxa/taxus-baccata/never' => array_values(
                    array_filter(
                        $lines,
                        static fn (mixed $line): bool => \is_array($line)
                            && \in_array($line['character'], $characters, true),
                    ),
                ),
            ]);
            foreach ((new FloraAudit($flora))->pairs() as $pair) {
                if (['sambucus-nigra', 'flower', 'taxus-baccata'] === [$pair->taxon, $pair->part, $pair->danger]) {
                    return $pair->excludes;
                }
            }
            throw new \LogicException('The pair is not audited.');
        };
        self::assertFalse($parts('leaf.kind'));
        self::assertFalse($parts('leaf.kind', 'leaf.stipules'), 'two characters of one organ');
        self::assertTrue($parts('leaf.kind', 'twig.pith'));
    }

    public function testSaysHowManyRightTreesAListRefusesAndByWhichFeature(): void
    {
        $flora = Starter::changed([
            'taxa/cornus-mas/description/twig.pith' => ['narrow' => 'usually', 'white-wide' => 'sometimes'],
        ]);
        [$ceiling, $refused] = (new FloraAudit($flora))->ceiling(
            $flora->taxon('cornus-mas'),
            $flora->taxon('cornus-mas')->part('fruit'),
        );
        self::assertEqualsWithDelta(0.9 / 1.2, $ceiling, 1e-9);
        self::assertSame('twig.pith (25 %)', $refused[0]);
        $remarks = array_map(
            static fn (Remark $r): string => $r->where.' '.$r->what,
            (new FloraAudit($flora))->remarks(),
        );
        self::assertStringContainsString(
            'at most 75 % of its own trees can meet the list; most are refused by twig.pith (25 %)',
            implode(' ', $remarks),
        );
    }

    public function testAListTheOldTreesCannotMeetCountsByTheirShare(): void
    {
        $flora = Starter::changed(['taxa/cornus-mas/stages' => ['old' => ['leaf.margin' => 'fine-teeth']]]);
        self::assertEqualsWithDelta(
            0.85,
            (new FloraAudit($flora))->ceiling(
                $flora->taxon('cornus-mas'),
                $flora->taxon('cornus-mas')->part('fruit'),
            )[0],
            1e-9,
        );
    }

    public function testAPartMayBeExaminedInOneSeasonAndTakenInAnotherIfTheExaminationHoldsSoLong(): void
    {
        $winter = [
            'taxa/cornus-mas/parts/fruit/window' => ['12-01', '01-31'],
            'taxa/cornus-mas/parts/fruit/identified' => ['08-15', '10-05'],
        ];
        $fruit = 'taxa/cornus-mas/parts/fruit/freshness_days';
        self::assertStringContainsString(
            'no examination holds until it may be taken: 57 days, and one holds 14.',
            implode(' ', self::faults(Starter::changed($winter))),
        );
        $flora = Starter::changed($winter + [$fruit => 60]);
        self::assertSame([], self::faults($flora));
        self::assertSame(
            [8, 9, 10],
            (new FloraAudit($flora))->months($flora->taxon('cornus-mas'), $flora->taxon('cornus-mas')->part('fruit')),
        );
    }

    public function testPutsTheWeakestPairFirst(): void
    {
        $pairs = (new FloraAudit(Starter::flora()))->pairs();
        self::assertGreaterThan(60, \count($pairs));
        self::assertLessThanOrEqual(\count($pairs[\count($pairs) - 1]->organs), \count($pairs[0]->organs));
        self::assertTrue($pairs[0]->canExclude);
    }

    /** @return list<string> */
    private static function faults(Flora $flora): array
    {
        return array_values(
            array_map(
                static fn (Remark $r): string => $r->where.': '.$r->what,
                array_filter((new FloraAudit($flora))->remarks(), static fn (Remark $r): bool => $r->fault),
            ),
        );
    }
}

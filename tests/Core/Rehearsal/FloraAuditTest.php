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
        $faults = self::faults(Starter::changed(['taxa/abies-mala' => ['id' => 'abies-mala', 'hazards' => $taxa['taxus-baccata']['hazards'], 'parts' => []] + $taxa['abies-alba']]));
        self::assertStringContainsString('abies-mala (deadly) can never be excluded', implode(' ', $faults));
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
        return array_values(array_map(static fn (Remark $r): string => $r->where.': '.$r->what, array_filter((new FloraAudit($flora))->remarks(), static fn (Remark $r): bool => $r->fault)));
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Library;

use App\Library\StockTable;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\PlantState;
use Hylognosis\Stock\WoodyGroup;
use PHPUnit\Framework\TestCase;

/** The table of harm seen that ships. */
final class StockTableTest extends TestCase
{
    public function testTheTableThatShipsIsInOrderAndItsRangesLieWhereTheCheckValuesDo(): void
    {
        $table = new StockTable(\dirname(__DIR__, 2).'/flora/stock.yaml');
        self::assertGreaterThan(20, \count($table->all()));
        $cattle = array_values(
            array_filter($table->of('prunus-serotina'), static fn (HarmSeen $h): bool => Animal::Cattle === $h->animal),
        );
        self::assertSame([0.1, 0.4, PlantState::Wilted], [$cattle[0]->least, $cattle[0]->most, $cattle[0]->state]);
        self::assertSame(
            [WoodyGroup::CedarLarch, WoodyGroup::OakBeech, WoodyGroup::MixedHardwood],
            array_map($table->group(...), ['taxus-baccata', 'quercus-robur', 'prunus-avium']),
        );
        foreach ($table->all() as $harms) {
            foreach ($harms as $harm) {
                self::assertStringEndsWith('from memory', $harm->source);
            }
        }
    }
}

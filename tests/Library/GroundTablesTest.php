<?php

declare(strict_types=1);

namespace App\Tests\Library;

use App\Library\CareTable;
use App\Library\SpreadTable;
use App\Library\StockTable;
use App\Tests\Reference\Floras;
use Hylognosis\Care\Allergy;
use Hylognosis\Care\DayCaution;
use Hylognosis\Care\HealthSign;
use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\Matter;
use Hylognosis\Stock\Peril;
use PHPUnit\Framework\TestCase;

/** The tables beside the floras: they name kinds there are, and say nothing that the floras do not bear out. */
final class GroundTablesTest extends TestCase
{
    private const ROOT = __DIR__.'/../../flora/';

    public function testWhatSpreadsOrIsRareIsAKindOfThatFlora(): void
    {
        $known = self::kinds();
        foreach (self::spreads()->named() as $named) {
            self::assertArrayHasKey($named, $known);
        }
        foreach ($known as $key => $taxon) {
            [$flora, $id] = explode('/', $key);
            if ('invasive' === $taxon->status->origin) {
                self::assertNotNull(self::spreads()->spread($flora, $id), "$key is called invasive");
            }
            if (null !== self::spreads()->rarity($flora, $id)) {
                self::assertSame('native', $taxon->status->origin, "$key is rare, and not native");
            }
        }
    }

    public function testOutsideItsNativeRangeItWasPlantedOrHasEscaped(): void
    {
        $stonePine = self::spreads()->native('central-european-hills', 'pinus-cembra');
        self::assertNotNull($stonePine);
        self::assertTrue($stonePine->isOutside(self::at(47.1, 15.3, 560)), 'far too low');
        self::assertFalse($stonePine->isOutside(self::at(47.1, 15.3, 1800)));
        self::assertFalse($stonePine->isOutside(self::at(47.1, 15.3, 1230)), 'so near its border nothing is said');
        $laburnum = self::spreads()->native('central-european-hills', 'laburnum-anagyroides');
        self::assertTrue($laburnum?->isOutside(self::at(50.5, 10.0, 400)));
        self::assertNull(self::spreads()->native('central-european-hills', 'sambucus-nigra'));
    }

    public function testEveryHarmfulKindHasAMatterOrMattersAlways(): void
    {
        $table = new StockTable(self::ROOT.'stock.yaml');
        $found = 0;
        foreach (self::kinds() as $taxon) {
            foreach (Animal::cases() as $animal) {
                foreach ($table->matters($taxon->id, $animal) as $matter) {
                    ++$found;
                    self::assertContains($animal, $matter->animals);
                }
            }
        }
        self::assertGreaterThan(200, $found);
        self::assertSame(
            ['leaves out; wilted ones after wind and cutting', 'evergreen leaves, clippings'],
            array_map(
                static fn (Matter $m): string => $m->what,
                $table->matters('prunus-laurocerasus', Animal::Cattle),
            ),
        );
    }

    /** Of what the floras call eaten without harm nobody is warned. */
    public function testNoMatterIsMadeOfWhatIsEatenWithoutHarm(): void
    {
        $table = new StockTable(self::ROOT.'stock.yaml');
        foreach (self::kinds() as $key => $taxon) {
            foreach (Animal::cases() as $animal) {
                if ([] !== $table->matters($taxon->id, $animal)) {
                    self::assertNotSame(Peril::Harmless, Peril::of([$taxon], $animal), "$key and $animal->value");
                }
            }
        }
    }

    public function testSignsAreLookedForWhereTheyOccurAndEverywhereWhereTheKindIsOpen(): void
    {
        $care = self::care();
        $ids = static fn (string $taxon, string $flora): array => array_map(
            static fn (HealthSign $s): string => $s->id,
            $care->signsOf('' === $taxon ? [] : [$taxon], $flora),
        );
        self::assertContains('ash-dieback', $ids('fraxinus-excelsior', 'central-european-hills'));
        self::assertNotContains('ash-dieback', $ids('fraxinus-americana', 'eastern-north-america'));
        self::assertNotContains('ash-dieback', $ids('quercus-robur', 'central-european-hills'));
        self::assertContains('honey-fungus', $ids('quercus-robur', 'central-european-hills'));
        self::assertCount(\count($care->signs()), $ids('', ''));
        $genera = array_unique(array_map(static fn (Taxon $t): string => explode('-', $t->id)[0], self::kinds()));
        foreach ($care->signs() as $sign) {
            self::assertSame([], array_diff($sign->genera, $genera), $sign->id);
            self::assertSame([], array_diff($sign->floras, array_values(Floras::NAMES)), $sign->id);
        }
    }

    public function testAKindHoldsInsteadOfItsGenus(): void
    {
        self::assertStringContainsString('pipes', self::care()->living('acer-negundo')->roots ?? '');
        self::assertStringNotContainsString('pipes', self::care()->living('acer-campestre')->roots ?? '');
        self::assertNull(self::care()->living('atropa-bella-donna'));
    }

    public function testAllergiesAndCautions(): void
    {
        $genera = array_map(static fn (Taxon $t): string => explode('-', $t->id)[0], self::kinds());
        foreach (Allergy::cases() as $allergy) {
            self::assertSame([], array_diff($allergy->genera(), $genera), $allergy->value);
        }
        self::assertContains(DayCaution::Ticks, DayCaution::inMonth(6, false));
        self::assertNotContains(DayCaution::Ticks, DayCaution::inMonth(1, false));
        self::assertSame(DayCaution::inMonth(7, false), DayCaution::inMonth(1, true), 'the year is turned');
        self::assertSame(DayCaution::inMonth(12, false), DayCaution::inMonth(6, true));
    }

    public function testAFaultyTableIsRefusedWithItsPlace(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'table');
        $row = '{flora: x, taxa: [y], ways: [cars], harvest: h, cleanup: c, source: s}';
        file_put_contents($file, "sources: []\nspreads:\n  - $row\n");
        try {
            (new SpreadTable($file))->named();
            self::fail('It took any way.');
        } catch (DocumentError $e) {
            self::assertStringContainsString('spreads[0].ways[0]', $e->path);
        } finally {
            unlink($file);
        }
    }

    private static function at(float $latitude, float $longitude, float $altitude): Place
    {
        return Place::of($latitude, $longitude, Length::ofMetres($altitude));
    }

    private static function spreads(): SpreadTable
    {
        return new SpreadTable(self::ROOT.'spreading.yaml');
    }

    private static function care(): CareTable
    {
        return new CareTable(self::ROOT.'living.yaml', self::ROOT.'health.yaml');
    }

    /** @return array<string, Taxon> "flora/taxon" */
    private static function kinds(): array
    {
        $kinds = [];
        foreach (Floras::NAMES as $letter => $name) {
            foreach (Floras::get($letter)->taxa as $id => $taxon) {
                $kinds[$name.'/'.$id] = $taxon;
            }
        }

        return $kinds;
    }
}

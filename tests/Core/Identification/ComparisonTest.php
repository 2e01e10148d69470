<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Identification\Comparison;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Parting;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ComparisonTest extends TestCase
{
    public function testTheNeedlesOfYewAndFirComeFirst(): void
    {
        $rows = self::of(['taxus-baccata', 'abies-alba'])->rows;
        $bits = array_map(static fn (Parting $row): float => $row->bits, $rows);
        $falling = $bits;
        rsort($falling);
        self::assertSame($falling, $bits);
        self::assertContains('leaf.bands', \array_slice(self::characters($rows), 0, 4));
        self::assertNotContains('leaf.kind', self::characters($rows), 'both have needles: that parts nothing');
        self::assertLessThanOrEqual(1.0, $bits[0], 'one of two: no look tells more than one bit');
    }

    /** A usual look is as telling as the identification itself makes it: its odds, averaged over what is read. */
    public function testTheOddsAreThoseOfTheIdentification(): void
    {
        $compiled = Starter::compiled();
        [$yew, $fir] = [$compiled->numbers['taxus-baccata'], $compiled->numbers['abies-alba']];
        $bands = $compiled->characters['leaf.bands'];
        $mean = 0.0;
        foreach (array_keys($bands->outcomes) as $state) {
            $found = Starter::identify([Starter::observe('leaf.bands', $state)]);
            $mean +=
                $bands->read[$bands->outcomes[$state]][$yew] *
                log($found->posteriorOf('taxus-baccata') / $found->posteriorOf('abies-alba'));
        }
        foreach (self::of(['taxus-baccata', 'abies-alba'])->rows as $row) {
            if ('leaf.bands' === $row->there->character->id) {
                self::assertEqualsWithDelta(exp($mean), $row->times[$yew], 0.02 * exp($mean));
                self::assertGreaterThan(5.0, $row->times[$fir]);

                return;
            }
        }
        self::fail('The bands part them.');
    }

    public function testOfSeveralTheNearestCounts(): void
    {
        $compiled = Starter::compiled();
        $yew = $compiled->numbers['taxus-baccata'];
        $all = self::times(self::of(['taxus-baccata', 'abies-alba', 'sambucus-nigra']), $yew);
        foreach (['abies-alba', 'sambucus-nigra'] as $other) {
            foreach (self::times(self::of(['taxus-baccata', $other]), $yew) as $character => $times) {
                self::assertLessThanOrEqual($times + 1e-9, $all[$character] ?? 1.0, $character);
            }
        }
    }

    public function testEachLineSpeaksWhereTheOtherIsMet(): void
    {
        $compiled = Starter::compiled();
        $comparison = self::of(['sambucus-nigra', 'sambucus-ebulus']);
        $lines = 0;
        foreach ($comparison->taxa as $t) {
            $other = array_values(array_diff($comparison->taxa, [$t]))[0];
            foreach ($comparison->nevers[$t] as $line) {
                ++$lines;
                $character = $compiled->characters[$line->character];
                $shown = 0.0;
                foreach ($line->states as $state) {
                    $shown += $character->shown[$character->outcomes[$state]][$other];
                }
                self::assertGreaterThanOrEqual([] === $line->states ? 0.0 : 0.25, $shown, $line->id);
            }
        }
        self::assertGreaterThan(0, $lines);
    }

    public function testWhatDiffersOnlyUpInTheCrownHasItsOwnRow(): void
    {
        $flora = Starter::changed(['taxa/robinia-pseudoacacia/positions' => ['high' => ['bark.surface' => 'smooth']]]);
        $compiled = CompiledFlora::of($flora, LifeStage::Mature);
        $rows = Comparison::of(
            $compiled,
            ['robinia-pseudoacacia', 'sambucus-nigra'],
            Phenology::at($flora, $flora->reference),
        )->rows;
        $heights = [];
        foreach ($rows as $row) {
            if ('bark.surface' === $row->there->character->id) {
                $heights[] = $row->position;
            }
        }
        self::assertContains(Position::High, $heights);
        self::assertNotContains(Position::Low, $heights);
    }

    public function testFlowersSleepInWinter(): void
    {
        $compiled = Starter::compiled();
        foreach (self::of(['sambucus-nigra', 'sambucus-ebulus'])->rows as $row) {
            if (str_starts_with($row->there->character->id, 'flower.')) {
                self::assertContains(6, $row->months[$compiled->numbers['sambucus-nigra']]);
                self::assertNotContains(1, $row->months[$compiled->numbers['sambucus-nigra']]);

                return;
            }
        }
        self::fail('The flowers part them.');
    }

    /** @param list<string> $taxa */
    #[DataProvider('unfit')]
    public function testOneFiveAndTwiceTheSameAreRefused(array $taxa): void
    {
        $this->expectException(\InvalidArgumentException::class);
        self::of($taxa);
    }

    /** @return iterable<string, array{list<string>}> */
    public static function unfit(): iterable
    {
        yield 'one' => [['taxus-baccata']];
        yield 'twice the same' => [['taxus-baccata', 'taxus-baccata']];
        yield 'five' => [['taxus-baccata', 'abies-alba', 'sambucus-nigra', 'sambucus-ebulus', 'cornus-mas']];
    }

    public function testAnUnknownKindIsNamed(): void
    {
        $this->expectException(UnknownEntry::class);
        $this->expectExceptionMessage('fagus-orientalis');
        self::of(['taxus-baccata', 'fagus-orientalis']);
    }

    /** @param list<string> $taxa */
    private static function of(array $taxa): Comparison
    {
        return Comparison::of(Starter::compiled(), $taxa, Phenology::at(Starter::flora(), Starter::flora()->reference));
    }

    /**
     * @param list<Parting> $rows
     *
     * @return list<string>
     */
    private static function characters(array $rows): array
    {
        return array_map(static fn (Parting $row): string => $row->there->character->id, $rows);
    }

    /** @return array<string, float> by character */
    private static function times(Comparison $comparison, int $taxon): array
    {
        $times = [];
        foreach ($comparison->rows as $row) {
            $times[$row->there->character->id] = $row->times[$taxon] ?? 1.0;
        }

        return $times;
    }
}

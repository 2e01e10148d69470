<?php

declare(strict_types=1);

namespace App\Tests\Core\Stock;

use App\Tests\Support\Starter;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Position\Area;
use Hylognosis\Season\Phenology;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\FallingReach;
use Hylognosis\Stock\HeightFrom;
use Hylognosis\Stock\Matter;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\Zone;
use PHPUnit\Framework\TestCase;

/** What a tree can do to animals, how far it reaches, and when what of it matters. */
final class PerilTest extends TestCase
{
    public function testTheWorstOfWhatItCanBeCountsAndSilenceIsNoProof(): void
    {
        $taxa = Starter::flora()->taxa;
        [$yew, $elder] = [$taxa['taxus-baccata'], $taxa['sambucus-nigra']];
        self::assertSame(Peril::Deadly, Peril::of([$yew], Animal::Cattle));
        self::assertSame(Peril::Deadly, Peril::of([$elder, $yew], Animal::Cattle));
        self::assertSame(Peril::Unknown, Peril::of([], Animal::Cattle), 'nobody has settled it');
        foreach ([Peril::Unknown, Peril::NoRecord, Peril::Mild] as $peril) {
            self::assertTrue($peril->calls());
        }
        self::assertFalse(Peril::Harmless->calls());
        self::assertSame(Peril::NoRecord, Peril::Harmless->orWorse(Peril::NoRecord));
        self::assertSame(Peril::Unknown, Peril::Unknown->orWorse(Peril::Mild), 'what may be any may be a deadly one');
    }

    public function testWhatNobodySaysHarmsOrSparesIsNoRecord(): void
    {
        $silent = array_filter(
            Starter::flora()->taxa,
            static fn (Taxon $taxon): bool => !\in_array('birds', array_column($taxon->hazards, 'who'), true),
        );
        self::assertNotSame([], $silent);
        foreach ($silent as $taxon) {
            self::assertSame(Peril::NoRecord, Peril::of([$taxon], Animal::Birds));
        }
    }

    public function testWhatIsNotKnownReachesFarther(): void
    {
        $elder = Starter::flora()->taxa['sambucus-nigra'];
        $none = Length::ofMetres(0);
        $measured = FallingReach::of(Length::ofMetres(5), [$elder], $none);
        $byKind = FallingReach::of(null, [$elder], $none);
        $unknown = FallingReach::of(null, [], $none);
        self::assertSame(
            [HeightFrom::Measured, HeightFrom::Kind, HeightFrom::Unknown],
            [$measured->from, $byKind->from, $unknown->from],
        );
        self::assertEqualsWithDelta(5.5, $measured->reach->metres(), 1e-9);
        self::assertGreaterThan($measured->reach->metres(), $byKind->reach->metres());
        self::assertGreaterThan($byKind->reach->metres(), $unknown->reach->metres());
        $unsure = FallingReach::of(Length::ofMetres(5), [$elder], Length::ofMetres(8));
        self::assertEqualsWithDelta(13.5, $unsure->reach->metres(), 1e-9);
    }

    public function testInsideOverTheFenceOrOutOfReach(): void
    {
        $pasture = Area::within([[15.310, 47.120], [15.314, 47.120], [15.314, 47.124], [15.310, 47.124]]);
        $reach = FallingReach::of(Length::ofMetres(20), [], Length::ofMetres(0)); // 22 m, 0.000198°
        self::assertSame(Zone::Inside, $reach->zone($pasture, 47.122, 15.312));
        self::assertSame(Zone::WithinReach, $reach->zone($pasture, 47.11985, 15.312));
        self::assertSame(Zone::Beyond, $reach->zone($pasture, 47.1197, 15.312));
    }

    public function testWhatMattersWhenAndWhatAlwaysDoes(): void
    {
        $flora = Starter::flora();
        $elder = $flora->taxa['sambucus-nigra'];
        $phenology = Phenology::at($flora, $flora->reference);
        $fruit = new Matter('fruit down', [Animal::Cattle], [Phenophase::Fruiting]);
        $january = DayOfYear::parse('01-10');
        self::assertFalse($fruit->isNow($elder, $phenology, $january));
        self::assertTrue($fruit->isNow($elder, $phenology, DayOfYear::parse('09-01')));
        self::assertTrue((new Matter('clippings', [Animal::Cattle], []))->isNow($elder, $phenology, $january));
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use App\Tests\Support\Starter;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Measure\ChampionPoints;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;
use Hylognosis\Season\HopkinsShift;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Facts from outside the project; the source stands beside each. */
final class FactsTest extends TestCase
{
    /**
     * @return iterable<string, array{float, float, float, float}> girth in inches, height in feet, spread in feet,
     *     points
     */
    public static function champions(): iterable
    {
        // Sizes: common practice. Rule: American champion-tree register, measuring guidelines.
        yield 'pin oak, largest known in 2021' => [245, 104, 117, 378.25];
        yield 'pin oak, state champion' => [210, 95, 99, 329.75];
        yield 'southern red oak, co-champion' => [321, 92, 114, 441.5];
    }

    #[DataProvider('champions')]
    public function testChampionPoints(float $girth, float $height, float $spread, float $points): void
    {
        self::assertEqualsWithDelta(
            $points,
            ChampionPoints::of(Length::ofInches($girth), Length::ofFeet($height), Length::ofFeet($spread))->points,
            1e-9,
        );
    }

    /** @return iterable<string, array{string, string, list<string>}> taxon, character, the states that occur */
    public static function features(): iterable
    {
        // Common practice: rowan is alternate, with furry buds pressed to the twig, short ring-wrinkled side shoots,
        // pale lenticels, bare fruit stalks kept in winter, on acid uplands.
        yield 'rowan is alternate' => ['sorbus-aucuparia', 'leaf.arrangement', ['alternate']];
        yield 'rowan buds are furry' => ['sorbus-aucuparia', 'bud.surface', ['furry']];
        yield 'rowan buds are pressed to the twig' => ['sorbus-aucuparia', 'bud.stance', ['pressed']];
        yield 'rowan has ring-wrinkled short shoots' => ['sorbus-aucuparia', 'twig.short-shoots', ['wrinkled']];
        yield 'rowan keeps bare fruit stalks' => ['sorbus-aucuparia', 'fruit.remains', ['bare-stalks']];
        yield 'rowan grows on acid ground' => ['sorbus-aucuparia', 'site.soil', ['acid']];
        // Common practice: black locust is once pinnate with rounded smooth leaflets, has paired stout thorns, ropy
        // bark, flat pods, and heartwood that glows yellow-green under ultraviolet.
        yield 'black locust is once pinnate' => ['robinia-pseudoacacia', 'leaf.kind', ['pinnate']];
        yield 'black locust leaflets are smooth' => ['robinia-pseudoacacia', 'leaf.margin', ['smooth']];
        yield 'black locust thorns are paired' => ['robinia-pseudoacacia', 'twig.spines', ['paired']];
        yield 'black locust bark is ropy' => ['robinia-pseudoacacia', 'bark.surface', ['ropy']];
        yield 'black locust bears pods' => ['robinia-pseudoacacia', 'fruit.kind', ['pod']];
        yield 'black locust wood glows' => ['robinia-pseudoacacia', 'wood.glow', ['yellow-green']];
        // Common practice, from the confusions every flora here must handle.
        yield 'silver fir has two white bands' => ['abies-alba', 'leaf.bands', ['two-white']];
        yield 'yew has none that are white' => ['taxus-baccata', 'leaf.bands', ['pale-green']];
        yield 'yew needles run down the shoot' => ['taxus-baccata', 'twig.needle-scar', ['running-down']];
        yield 'sweet chestnut husk is dense and fine' => ['castanea-sativa', 'fruit.husk', ['fine-spines']];
        yield 'horse chestnut leaf is palmate' => ['aesculus-hippocastanum', 'leaf.kind', ['palmate']];
        yield 'black elder pith is white' => ['sambucus-nigra', 'twig.pith', ['white-wide']];
        yield 'red elder pith is brown' => ['sambucus-racemosa', 'twig.pith', ['brown-wide']];
    }

    /** @param list<string> $states */
    #[DataProvider('features')]
    public function testTheFloraSaysWhatPractitionersKnow(string $taxon, string $character, array $states): void
    {
        $frequencies = Starter::flora()->taxon($taxon)->description->frequencies($character) ?? [];
        arsort($frequencies);
        self::assertContains(array_key_first($frequencies), $states);
    }

    /** Source: A. D. Hopkins, Bioclimatics, USDA Misc. Publ. 280, 1938 (memory): 4 days per degree and per 400 ft. */
    public function testHopkinsRule(): void
    {
        $reference = Place::of(47, 15, Length::ofMetres(400));
        $days = static fn (float $latitude, float $feetHigher): int => HopkinsShift::between(
            $reference,
            Place::of($latitude, 15, Length::ofMetres(400 + $feetHigher * 0.3048)),
        )->springDays();
        self::assertSame(4, $days(48, 0));
        self::assertSame(4, $days(47, 400));
        self::assertSame(-8, $days(46, -400));
        $north = HopkinsShift::between($reference, Place::of(48, 15, Length::ofMetres(400)));
        $shifted = static fn (string $from, string $to, Phenophase $phase): ?string => $north
            ->apply(Window::of(DayOfYear::parse($from), DayOfYear::parse($to)), $phase)
            ?->words();
        self::assertSame(
            '5 May to 4 June',
            $shifted('05-01', '05-31', Phenophase::Flowering),
            'flowering waits for warmth',
        );
        self::assertSame(
            '5 September to 16 October',
            $shifted('09-01', '10-20', Phenophase::Fruiting),
            'ripening too, and the cold ends it earlier',
        );
        self::assertSame(
            '24 October to 4 April',
            $shifted('10-28', '03-31', Phenophase::Leafless),
            'leaf fall comes earlier, unfolding later',
        );
        self::assertTrue($north->holds());
        self::assertFalse(
            HopkinsShift::between($reference, Place::of(58, 15, Length::ofMetres(500)))->holds(),
            'over forty days',
        );
        self::assertFalse(
            HopkinsShift::between($reference, Place::of(-47, 15, Length::ofMetres(400)))->holds(),
            'the other half of the Earth',
        );
    }
}

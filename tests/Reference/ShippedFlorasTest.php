<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Flora\FigureKind;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\DayOfYear;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The shipped floras against what is known of their trees. Statements and sources: data/diagnostics.tsv and beside each
 * check.
 */
final class ShippedFlorasTest extends TestCase
{
    /** @return iterable<string, array{string, string, string, string}> */
    public static function statements(): iterable
    {
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/data/diagnostics.tsv'))) as $line) {
            if (!str_starts_with($line, '#')) {
                [$flora, $taxon, $character, $expected, $source] = explode("\t", $line);
                yield "$flora $taxon $character $expected ($source)" => [$flora, $taxon, $character, $expected];
            }
        }
    }

    #[DataProvider('statements')]
    public function testADiagnosticStatementHolds(
        string $flora,
        string $taxon,
        string $character,
        string $expected,
    ): void {
        $description = Floras::get($flora)->taxon($taxon)->description;
        if (str_starts_with($expected, '~')) {
            [$from, $to] = array_map(floatval(...), explode('..', substr($expected, 1)));
            $range = $description->range($character);
            self::assertNotNull($range);
            $middle = ($range->low + $range->high) / 2;
            self::assertTrue($middle >= $from && $middle <= $to, $range.' lies elsewhere');

            return;
        }
        $shares = $description->frequencies($character) ?? [];
        if (str_starts_with($expected, '!')) {
            self::assertNotSame([], $shares);
            self::assertSame(0.0, $shares[substr($expected, 1)] ?? 0.0);

            return;
        }
        arsort($shares);
        self::assertContains(array_key_first($shares), explode(',', substr($expected, 1)));
    }

    public function testHoldsEveryTaxonAsked(): void
    {
        $counts = array_map(
            static fn (string $letter): int => \count(
                array_filter(Floras::get($letter)->taxa, static fn (Taxon $t): bool => !$t->isHybrid()),
            ),
            ['A', 'B', 'C'],
        );
        self::assertGreaterThanOrEqual(50, $counts[0]);
        self::assertGreaterThanOrEqual(60, $counts[1]);
        self::assertGreaterThanOrEqual(20, $counts[2]);
    }

    public function testFlowersAndFruitComeWhenPractitionersSeeThem(): void
    {
        // Common practice: black cherry mid to late April, black locust about mid May, devil's walking stick early
        // August, American chestnut falls in early October, red mulberry May to June, basswood nutlets ripe September
        // to October.
        foreach (
            [
                ['prunus-serotina', 'flowering', '04-25'],
                ['robinia-pseudoacacia', 'flowering', '05-15'],
                ['aralia-spinosa', 'flowering', '08-05'],
                ['castanea-dentata', 'fruiting', '10-04'],
                ['morus-rubra', 'fruiting', '06-10'],
                ['tilia-americana', 'fruiting', '10-01'],
            ] as [$taxon, $phase, $day]
        ) {
            $window = Floras::get('B')->taxon($taxon)->calendar->window(\Hylognosis\Flora\Phenophase::from($phase));
            self::assertTrue($window?->contains(DayOfYear::parse($day)), "$taxon $phase $day");
        }
    }

    public function testFirstBearingAgeAndGrowthFactorsAreThoseOfTheHandbooks(): void
    {
        // Common practice: American beech bears from about 40 to 50 years, pin oak at about 20, basswood from 15 to
        // 100.
        foreach (
            ['fagus-grandifolia' => '40–50', 'quercus-palustris' => '20', 'tilia-americana' => '15–100'] as $taxon => $range
        ) {
            self::assertSame(
                $range,
                (string) (Floras::get('B')->taxon($taxon)->figures[FigureKind::BearsFrom->value] ?? ''),
                $taxon,
            );
        }
        // International Society of Arboriculture factors as printed in state extension leaflets (memory).
        foreach (
            [
                'quercus-alba' => 5.0,
                'quercus-rubra' => 4.0,
                'fagus-grandifolia' => 6.0,
                'prunus-serotina' => 5.0,
                'tilia-americana' => 3.0,
                'pinus-strobus' => 5.0,
                'quercus-palustris' => 3.0,
                'liriodendron-tulipifera' => 3.0,
            ] as $taxon => $factor
        ) {
            self::assertSame(
                $factor,
                (Floras::get('B')->taxon($taxon)->figures[FigureKind::GrowthFactor->value] ?? null)?->low,
                $taxon,
            );
        }
    }

    public function testEveryTaxonNamesItsSourcesAndEveryHazardToo(): void
    {
        foreach (['A', 'B', 'C'] as $letter) {
            foreach (Floras::get($letter)->taxa as $taxon) {
                self::assertNotSame([], $taxon->sources, $taxon->id);
                foreach ($taxon->hazards as $hazard) {
                    self::assertNotSame([], $hazard->sources, $taxon->id);
                }
            }
        }
    }

    /**
     * The confusions that must be handled (common practice): the look-alike stands with the wanted part, and what parts
     * the two is said.
     */
    public function testTheConfusionsAreHandled(): void
    {
        $confusions = [
            'A' => [
                'abies-alba' => ['taxus-baccata'],
                'pseudotsuga-menziesii' => ['taxus-baccata'],
                'castanea-sativa' => ['aesculus-hippocastanum'],
                'sambucus-nigra' => ['sambucus-ebulus', 'sambucus-racemosa'],
                'robinia-pseudoacacia' => [
                    'laburnum-anagyroides',
                    'laburnum-alpinum',
                    'laburnum-watereri',
                    'wisteria-sinensis',
                ],
                'prunus-avium' => ['frangula-alnus', 'rhamnus-cathartica', 'prunus-laurocerasus'],
                'prunus-padus' => ['frangula-alnus', 'rhamnus-cathartica', 'prunus-laurocerasus'],
                'cornus-mas' => ['lonicera-xylosteum', 'euonymus-europaeus', 'daphne-mezereum', 'cornus-sanguinea'],
                'juniperus-communis' => ['juniperus-sabina'],
                'sorbus-aucuparia' => ['sambucus-racemosa', 'ailanthus-altissima'],
                'juglans-regia' => ['ailanthus-altissima'],
                'fraxinus-excelsior' => ['ailanthus-altissima'],
                'pinus-sylvestris' => ['taxus-baccata'],
                'pinus-cembra' => ['taxus-baccata'],
                'pinus-mugo' => ['taxus-baccata'],
                'quercus-robur' => ['quercus-cerris'],
                'fagus-sylvatica' => ['carpinus-betulus'],
                'tilia-cordata' => ['corylus-avellana'],
                'morus-nigra' => ['morus-alba'],
            ],
            'B' => [
                'abies-balsamea' => ['taxus-canadensis', 'taxus-cuspidata'],
                'tsuga-canadensis' => ['taxus-canadensis', 'taxus-cuspidata'],
                'castanea-dentata' => ['aesculus-glabra', 'aesculus-flava'],
                'castanea-mollissima' => ['aesculus-glabra'],
                'sambucus-canadensis' => ['sambucus-racemosa', 'aralia-spinosa'],
                'prunus-serotina' => [
                    'frangula-alnus',
                    'rhamnus-cathartica',
                    'prunus-caroliniana',
                    'prunus-virginiana',
                ],
                'juglans-nigra' => ['ailanthus-altissima', 'toxicodendron-vernix'],
                'juglans-cinerea' => ['ailanthus-altissima', 'toxicodendron-vernix'],
                'fraxinus-americana' => ['ailanthus-altissima', 'toxicodendron-vernix'],
                'rhus-typhina' => ['ailanthus-altissima', 'toxicodendron-vernix'],
                'rhus-glabra' => ['ailanthus-altissima', 'toxicodendron-vernix'],
                'morus-rubra' => ['morus-alba', 'broussonetia-papyrifera', 'menispermum-canadense'],
                'gleditsia-triacanthos' => ['gymnocladus-dioicus', 'robinia-pseudoacacia'],
                'diospyros-virginiana' => ['melia-azedarach', 'rhamnus-cathartica'],
                'asimina-triloba' => ['melia-azedarach', 'rhamnus-cathartica'],
                'celtis-occidentalis' => ['melia-azedarach', 'rhamnus-cathartica'],
                'tilia-americana' => ['morus-alba', 'catalpa-speciosa'],
                'pinus-strobus' => ['taxus-canadensis'],
                'quercus-alba' => ['quercus-rubra'],
                'betula-lenta' => ['prunus-serotina'],
                'fagus-grandifolia' => ['carpinus-caroliniana', 'ostrya-virginiana'],
                'robinia-pseudoacacia' => ['wisteria-sinensis'],
                'quercus-rubra' => ['quercus-alba'],
            ],
        ];
        foreach ($confusions as $letter => $pairs) {
            foreach ($pairs as $wanted => $mistakes) {
                foreach ($mistakes as $mistaken) {
                    $notes = array_filter(
                        array_map(
                            static fn ($part): string => $part->lookAlike($mistaken)->note ?? '',
                            Floras::get($letter)->taxon($wanted)->parts,
                        ),
                        static fn (string $note): bool => '' !== $note,
                    );
                    self::assertNotSame([], $notes, "$wanted / $mistaken");
                }
            }
        }
    }
}

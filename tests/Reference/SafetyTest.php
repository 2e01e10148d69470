<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Frequency;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Rehearsal\Desk;
use Hylognosis\Rehearsal\ExactBound;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Eye;
use Hylognosis\Rehearsal\FloraAudit;
use Hylognosis\Rehearsal\Goal;
use Hylognosis\Rehearsal\Rehearsal;
use Hylognosis\Rehearsal\TreeKind;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What has to hold of every shipped flora before anybody takes a knife to a tree because of it, whatever is edited. The aims are
 * those the rehearsal is measured by: a careful examiner lets one dangerous tree in 100,000 pass at most.
 */
final class SafetyTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function floras(): iterable
    {
        foreach (Floras::NAMES as $letter => $name) {
            yield $name => [$letter];
        }
    }

    #[DataProvider('floras')]
    public function testNoDangerousTreePassesMoreOftenThanTheAimByTheExactBound(string $letter): void
    {
        $flora = Floras::get($letter);
        $stages = array_map(static fn (array $stage): array => [CompiledFlora::of($flora, LifeStage::from($stage[0])), $stage[1]], Rehearsal::STAGES);
        $phenology = Phenology::at($flora, $flora->reference);
        $aim = ExaminerKind::Careful->aim();
        $checked = 0;
        foreach (self::wanted($flora) as [$taxon, $part]) {
            foreach (Rehearsal::months($part) as $day) {
                $goal = new Goal(new Claim($taxon, $part, []), $day);
                foreach ($flora->dangerous() as $danger) {
                    if (!$goal->claim->allows($flora, $danger)) {
                        $bound = 0.0;
                        foreach ($stages as [$compiled, $share]) {
                            $desk = new Desk($compiled, $phenology, $goal, new \DateTimeImmutable('2027-'.$day));
                            $bound += $share * (new ExactBound(Eye::of(ExaminerKind::Careful, $compiled)))->of(new TreeKind($compiled, $danger->id, true), $goal, $desk);
                        }
                        ++$checked;
                        if ($bound > $aim) {
                            self::fail(\sprintf('%s, %s: %s passes up to %.1e in month %d.', $taxon->id, $part->id, $danger->id, $bound, $day->month()));
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(300, $checked);
    }

    #[DataProvider('floras')]
    public function testEveryListCanBeWorkedThroughWithoutALaboratory(string $letter): void
    {
        $flora = Floras::get($letter);
        $audit = new FloraAudit($flora);
        foreach (self::wanted($flora) as [$taxon, $part]) {
            $where = $taxon->id.', '.$part->id;
            self::assertContains(\count($part->required), range(4, 10), $where);
            self::assertGreaterThanOrEqual(2, \count(array_unique(array_map(static fn ($f): string => $flora->character($f->character)->organ->value, $part->required))), $where);
            self::assertNotEmpty($audit->months($taxon, $part), $where);
            self::assertGreaterThan(0.75, $audit->ceiling($taxon, $part)[0], $where.': too many right trees cannot meet the list');
            foreach ($part->required as $feature) {
                self::assertLessThanOrEqual(4, $flora->character($feature->character)->effort, $where.' '.$feature->character);
                self::assertGreaterThanOrEqual(1, $feature->samples);
            }
        }
    }

    #[DataProvider('floras')]
    public function testNothingWantedAsksOfItsOwnTreesWhatTheyNeverShow(string $letter): void
    {
        $flora = Floras::get($letter);
        foreach (self::wanted($flora) as [$taxon, $part]) {
            // Where the name of a group is enough, what any of its members shows may be accepted.
            $kin = array_map($flora->taxon(...), $flora->groups[$part->group]->members ?? [$taxon->id]);
            foreach ($part->required as $feature) {
                foreach ([...$feature->states, ...$feature->beside] as $state) {
                    $shown = 0.0;
                    foreach ($kin as $one) {
                        foreach ([$one->description, ...array_values($one->stages)] as $description) {
                            $shown = max($shown, $description->frequencies($feature->character)[$state] ?? 0.0);
                        }
                    }
                    self::assertGreaterThan(0.0, $shown, $taxon->id.', '.$part->id.': '.$feature->character.' '.$state);
                }
                if (null !== $feature->range) {
                    $own = $taxon->description->range($feature->character);
                    self::assertNotNull($own, $taxon->id.' '.$feature->character);
                    self::assertTrue($own->most >= $feature->range->low && $own->least <= $feature->range->high, $taxon->id.' '.$feature->character);
                }
            }
        }
    }

    #[DataProvider('floras')]
    public function testATreeDoesNotShrinkAsItGrows(string $letter): void
    {
        $compared = 0;
        foreach (Floras::get($letter)->taxa as $taxon) {
            $grown = $taxon->description->range('outline.height');
            $last = null;
            foreach (['sapling', 'young'] as $stage) {
                $height = ($taxon->stages[$stage] ?? null)?->range('outline.height');
                if ($height instanceof NumberRange && null !== $grown) {
                    self::assertLessThanOrEqual($grown->most, $height->high, $taxon->id.' '.$stage);
                    self::assertGreaterThanOrEqual($last->low ?? 0.0, $height->low, $taxon->id.' '.$stage);
                    $last = $height;
                    ++$compared;
                }
            }
        }
        self::assertGreaterThan(2, $compared);
    }

    /** A young tree may show less or more than a grown one, but not another kind of leaf, bud or thorn: such overlays were copied once. */
    #[DataProvider('floras')]
    public function testAYoungTreeIsOfTheSameKindAsAGrownOne(string $letter): void
    {
        foreach (Floras::get($letter)->taxa as $taxon) {
            foreach ($taxon->stages as $stage => $overlay) {
                foreach ($overlay->characters() as $id) {
                    $shares = $overlay->frequencies($id);
                    $grown = $taxon->description->frequencies($id);
                    if (null !== $shares && 1 === preg_match('/^(twig|bud|leaf|flower|fruit)\./', $id)) {
                        self::assertNotNull($grown, $taxon->id.' '.$stage.' '.$id);
                        self::assertNotSame([], array_intersect_key(array_filter($shares, static fn (float $s): bool => $s > 0.0), array_filter($grown, static fn (float $s): bool => $s > 0.0)), $taxon->id.' '.$stage.' '.$id);
                    }
                }
            }
        }
        self::assertNull((Floras::get('C')->taxon('dermatophyllum-secundiflorum')->stages['young'] ?? null)?->frequencies('twig.spines'), 'mescal bean has no thorns at any age');
    }

    /** What is known to harm people is counted dangerous in each flora that holds it; sources in the taxon files. */
    public function testTheKnownPoisonousKindsAreCountedAsDangerous(): void
    {
        $deadly = [
            'A' => ['taxus-baccata', 'laburnum-anagyroides', 'laburnum-alpinum', 'daphne-mezereum', 'atropa-bella-donna', 'juniperus-sabina'],
            'B' => ['taxus-canadensis', 'taxus-cuspidata', 'menispermum-canadense'],
            'C' => ['nerium-oleander', 'dermatophyllum-secundiflorum', 'ricinus-communis', 'nicotiana-glauca', 'taxus-brevifolia'],
        ];
        $atLeast = [
            'A' => ['sambucus-ebulus', 'sambucus-racemosa', 'euonymus-europaeus', 'ilex-aquifolium', 'hedera-helix', 'prunus-laurocerasus', 'buxus-sempervirens', 'thuja-occidentalis', 'aesculus-hippocastanum', 'robinia-pseudoacacia', 'frangula-alnus', 'rhamnus-cathartica', 'ligustrum-vulgare', 'lonicera-xylosteum', 'wisteria-sinensis'],
            'B' => ['toxicodendron-vernix', 'toxicodendron-radicans', 'aralia-spinosa', 'aesculus-glabra', 'aesculus-flava', 'gymnocladus-dioicus', 'melia-azedarach', 'kalmia-latifolia', 'rhododendron-maximum', 'ligustrum-sinense', 'euonymus-atropurpureus', 'prunus-caroliniana', 'triadica-sebifera', 'ilex-opaca'],
            'C' => ['toxicodendron-diversilobum', 'melia-azedarach', 'aesculus-californica', 'robinia-neomexicana', 'schinus-terebinthifolia'],
        ];
        foreach ([[$deadly, Severity::Deadly], [$atLeast, Severity::Serious]] as [$lists, $severity]) {
            foreach ($lists as $letter => $ids) {
                foreach ($ids as $id) {
                    self::assertGreaterThanOrEqual($severity->rank(), Floras::get($letter)->taxon($id)->severity()->rank(), $id);
                }
            }
        }
    }

    /** A dangerous taxon is described as fully as a wanted one: what is not said of it cannot exclude it. */
    #[DataProvider('floras')]
    public function testDangerousTaxaAreDescribedAsFullyAsWantedOnes(string $letter): void
    {
        $flora = Floras::get($letter);
        $wanted = array_filter($flora->taxa, static fn (Taxon $t): bool => !$t->severity()->isHazard() && !$t->isHybrid());
        self::assertGreaterThan(0.85 * self::said($wanted), self::said($flora->dangerous()));
        foreach ($flora->dangerous() as $taxon) {
            foreach (['leaf.arrangement', 'leaf.kind', 'fruit.kind', 'twig.spines', 'scent.sap'] as $id) {
                self::assertTrue($taxon->description->describes($id), $taxon->id.' '.$id);
            }
        }
    }

    /**
     * @param array<string, Taxon> $taxa
     *
     * @return float characters described, on average
     */
    private static function said(array $taxa): float
    {
        return array_sum(array_map(static fn (Taxon $t): int => \count($t->description->characters()), $taxa)) / max(1, \count($taxa));
    }

    public function testTheWordsForHowOftenAreTheNumbersOfTheManual(): void
    {
        self::assertSame([1.0, 0.9, 0.6, 0.3, 0.05, 0.0], array_map(static fn (Frequency $f): float => $f->share(), Frequency::cases()));
    }

    /** @return iterable<array{Taxon, Part}> */
    private static function wanted(Flora $flora): iterable
    {
        foreach ($flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                if ('' === $part->harmful) {
                    yield [$taxon, $part];
                }
            }
        }
    }
}

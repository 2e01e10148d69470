<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\PlaceAllows;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Quota;
use Hylognosis\Clearance\Strength;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identifier;
use Hylognosis\Season\Phenology;
use PHPUnit\Framework\TestCase;

/** Parts for which a group's name is enough: oaks, limes, sumacs. */
final class GroupsTest extends TestCase
{
    public function testAGroupLeadsWhereNoneOfItsMembersDoesAlone(): void
    {
        $dossier = self::oak('acorn');
        self::assertLessThan(0.95, $dossier->identification->posteriorOf('quercus-robur'));
        self::assertGreaterThan(0.95, $dossier->posteriorOfClaim());
        self::assertTrue((new Strength())->judge($dossier)->isMet());
    }

    public function testAHybridIsNoLookAlikeOfItsParentsAndNoMemberOfAGroupIsOfAnother(): void
    {
        $flora = Floras::get('A');
        $cordata = $flora->taxon('tilia-cordata');
        $claim = new Claim($cordata, $cordata->part('flower'), []);
        self::assertTrue($claim->allows($flora, $flora->taxon('tilia-europaea')));
        self::assertTrue($claim->allows($flora, $flora->taxon('tilia-platyphyllos')));
        self::assertFalse($claim->allows($flora, $flora->taxon('taxus-baccata')));
        $sumac = Floras::get('B')->taxon('rhus-typhina');
        self::assertTrue(
            (new Claim($sumac, $sumac->part('fruit'), []))->allows(
                Floras::get('B'),
                Floras::get('B')->taxon('rhus-glabra'),
            ),
        );
        self::assertFalse(
            (new Claim($sumac, $sumac->part('fruit'), []))->allows(
                Floras::get('B'),
                Floras::get('B')->taxon('toxicodendron-vernix'),
            ),
        );
    }

    public function testADangerousHybridHasToBeExcludedByWhoeverIsNoParentOfIt(): void
    {
        $dangers = array_map(static fn (Danger $d): string => $d->taxon->id, self::oak('acorn')->dangers);
        self::assertContains('laburnum-watereri', $dangers);
        self::assertNotContains('quercus-rosacea', $dangers);
    }

    public function testAProtectedOrUsedUpKindOfTheGroupShutsItForAllOfThem(): void
    {
        $oak = static fn (PlaceTerms $terms): PointStatus => (new PlaceAllows())->judge(self::oak(terms: $terms))
            ->status;
        self::assertSame(PointStatus::Met, $oak(new PlaceTerms(true)));
        self::assertSame(
            PointStatus::Broken,
            $oak(new PlaceTerms(true, null, ['quercus-petraea'])),
            'it may just as well be the other oak',
        );
        self::assertSame(
            PointStatus::Broken,
            $oak(new PlaceTerms(true, null, [], ['quercus-petraea' => new Quota(2, 2)])),
        );
        self::assertSame(PointStatus::Met, $oak(new PlaceTerms(true, null, ['quercus-cerris'])), 'which it cannot be');
    }

    /** An oak with rounded lobes between the two species: the stalk of the leaf was not looked at. */
    private static function oak(string $part = 'acorn', ?PlaceTerms $terms = null): Dossier
    {
        $flora = Floras::get('A');
        $observations = [];
        foreach (
            [
                'leaf.arrangement' => 'alternate',
                'leaf.kind' => 'simple',
                'leaf.lobes' => 'feather',
                'leaf.lobe-tips' => 'rounded',
                'bud.end' => 'cluster',
                'fruit.kind' => 'acorn',
                'fruit.cap' => 'flat',
                'twig.pith' => 'star',
                'bark.surface' => 'ridged',
            ] as $character => $state
        ) {
            $observations[] = Observation::ofStates(
                $flora->character($character),
                [$state],
                Certainty::Sure,
                4,
                Whereabouts::Tree,
            );
        }
        $date = new \DateTimeImmutable('2027-10-05');
        $taxon = $flora->taxon('quercus-robur');
        $identification = (new Identifier())->identify(
            Floras::compiled('A'),
            Examination::of($date, LifeStage::Mature, ExaminerRole::Instructor, $observations),
        );

        return new Dossier(
            new Claim($taxon, $taxon->part($part), []),
            $identification,
            Phenology::at($flora, $flora->reference),
            $terms ?? new PlaceTerms(true),
            $date,
        );
    }
}

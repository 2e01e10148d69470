<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Reference\Floras;
use App\Tests\Support\Dossiers;
use App\Tests\Support\Starter;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\LookAlikesExcluded;
use Hylognosis\Clearance\PartAndCondition;
use Hylognosis\Clearance\PlaceAllows;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Quota;
use Hylognosis\Clearance\RequiredFeatures;
use Hylognosis\Clearance\Strength;
use Hylognosis\Identification\Danger;
use PHPUnit\Framework\TestCase;

/** Parts for which a group's name is enough, and points that are a matter of season. */
final class GroupAndSeasonTest extends TestCase
{
    public function testAGroupLeadsWhereNoneOfItsMembersDoesAlone(): void
    {
        $dossier = Dossiers::oak('acorn');
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
        self::assertTrue((new Claim($sumac, $sumac->part('fruit'), []))->allows(Floras::get('B'), Floras::get('B')->taxon('rhus-glabra')));
        self::assertFalse((new Claim($sumac, $sumac->part('fruit'), []))->allows(Floras::get('B'), Floras::get('B')->taxon('toxicodendron-vernix')));
    }

    public function testADangerousHybridHasToBeExcludedByWhoeverIsNoParentOfIt(): void
    {
        $dangers = array_map(static fn (Danger $d): string => $d->taxon->id, Dossiers::oak('acorn')->dangers);
        self::assertContains('laburnum-watereri', $dangers);
        self::assertNotContains('quercus-rosacea', $dangers);
    }

    public function testSaysFromWhichDayAPointCanBeChanged(): void
    {
        $winter = Dossiers::elderFlower(scores: [], date: '2027-02-10');
        self::assertSame('25 May', (new PartAndCondition())->judge($winter)->when?->words());
        // flowers are the last of the required features to show
        self::assertSame('20 May', (new RequiredFeatures())->judge($winter)->when?->words());
        self::assertNull((new RequiredFeatures())->judge(Dossiers::elderFlower(scores: []))->when, 'all in sight in June');
        $usedUp = Dossiers::elderFlower(terms: new PlaceTerms(true, null, [], ['sambucus-nigra' => new Quota(3, 3)]));
        self::assertSame('1 January', (new PlaceAllows())->judge($usedUp)->when?->words());
    }

    public function testSaysWhenADangerCanBeToldApartThatCannotBeToday(): void
    {
        // bare twigs in February: what parts a chestnut from a yew hangs on organs that are there; nothing to wait for
        self::assertNull((new LookAlikesExcluded())->judge(Dossiers::of('castanea-sativa', 'nut', [], [], null, '2027-06-20'))->when);
        $winter = (new LookAlikesExcluded())->judge(Dossiers::of('robinia-pseudoacacia', 'flower', Starter::observations(['twig.spines' => ['paired', 3], 'bark.surface' => ['ropy', 1]]), [], null, '2027-01-20'));
        self::assertNotSame([], $winter->items);
    }
}

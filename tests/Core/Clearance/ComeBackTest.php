<?php

declare(strict_types=1);

namespace App\Tests\Core\Clearance;

use App\Tests\Support\Dossiers;
use Hylognosis\Clearance\LookAlikesExcluded;
use Hylognosis\Clearance\PartAndCondition;
use Hylognosis\Clearance\PlaceAllows;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Quota;
use Hylognosis\Clearance\RequiredFeatures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What is not to be seen today, and from which day on it is. */
final class ComeBackTest extends TestCase
{
    public function testSaysFromWhichDayAPointCanBeChanged(): void
    {
        $winter = Dossiers::elderFlower(scores: [], date: '2027-02-10');
        self::assertSame('25 May', (new PartAndCondition())->judge($winter)->when?->words());
        // flowers are the last of the required features to show
        self::assertSame('20 May', (new RequiredFeatures())->judge($winter)->when?->words());
        self::assertNull(
            (new RequiredFeatures())->judge(Dossiers::elderFlower(scores: []))->when,
            'all in sight in June',
        );
        $usedUp = Dossiers::elderFlower(terms: new PlaceTerms(true, null, [], ['sambucus-nigra' => new Quota(3, 3)]));
        self::assertSame('1 January', (new PlaceAllows())->judge($usedUp)->when?->words());
    }

    #[TestWith(['castanea-sativa', 'nut', '2027-01-20', '1 May'])]
    #[TestWith(['castanea-sativa', 'nut', '2027-06-20', null])]
    #[TestWith(['cornus-mas', 'fruit', '2027-01-20', '25 February'])]
    #[TestWith(['cornus-mas', 'fruit', '2027-03-10', null])]
    #[TestWith(['robinia-pseudoacacia', 'flower', '2027-01-20', null])]
    public function testSaysWhenADangerCanBeToldApartThatCannotBeToday(
        string $taxon,
        string $part,
        string $day,
        ?string $when,
    ): void {
        // Nobody has scored anything: chestnut waits for its leaves, cornel for its flowers; what parts black locust
        // from all of them hangs on its bare twigs.
        $point = (new LookAlikesExcluded())->judge(Dossiers::of($taxon, $part, [], [], null, $day));
        self::assertSame($when, $point->when?->words());
    }
}

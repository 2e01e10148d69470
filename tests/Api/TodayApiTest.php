<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;

/** What the first page says of the day. */
final class TodayApiTest extends ApiTestCase
{
    public function testWhatIsInItsWindowIsListedOurTreesFirstSoonestToCloseFirstAndNothingThatAlwaysIs(): void
    {
        $this->signIn('marta');
        $june = $this->parts('2027-06-14');
        self::assertContains('sambucus-nigra/flower', array_keys($june));
        self::assertNotContains('castanea-sativa/nut', array_keys($june));
        self::assertNotContains('pinus-sylvestris/resin-wood', array_keys($june), 'all year is no news');
        self::assertNotContains('quercus-robur/wood', array_keys($june));
        $rows = (array) self::at($this->call('GET', '/api/today'), 'inWindow');
        $order = array_map(
            static fn (mixed $row): array => \is_array($row) ? [[] === $row['trees'], $row['daysLeft']] : [],
            $rows,
        );
        $sorted = $order;
        usort($sorted, static fn (array $a, array $b): int => $a <=> $b);
        self::assertSame($sorted, $order);
        self::assertSame(['M-01', 'M-06'], array_column($rows, 'trees', 'taxon')['sambucus-nigra']);
        $october = $this->parts('2027-10-03');
        self::assertContains('castanea-sativa/nut', array_keys($october));
        self::assertNotContains('sambucus-nigra/flower', array_keys($october));
        self::assertContains(
            'alnus-glutinosa/wood-winter',
            array_keys($this->parts('2028-01-20')),
            'a winter list has its own window',
        );
    }

    public function testTheWindowsAreThoseOfTheFloraOneWorksWith(): void
    {
        $this->signIn('marta');
        $this->call('PUT', '/api/preferences', ['units' => 'metric', 'flora' => 'eastern-north-america']);
        $parts = array_keys($this->parts('2027-07-25')); // flowers later, further north and uphill
        self::assertContains('sambucus-canadensis/flower', $parts);
        self::assertNotContains('sambucus-nigra/flower', $parts);
    }

    public function testWhatIsUnderWayIsOnesOwnAndWhatWantsASecondLookIsTheOthers(): void
    {
        $this->signIn('marta');
        $address = $this->begin('L-01', [
            'date' => '2027-06-11',
            'claimTaxon' => 'abies-alba',
            'claimPart' => 'young-shoot',
        ]);
        self::assertContains(basename($address), $this->ids('open'));
        $this->score($address, Starter::FIR_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['soft-and-light' => true, 'sprayed' => false]]);
        $this->call('POST', $address.'/sign');
        self::assertNotContains(basename($address), $this->ids('open'));
        self::assertNotContains(basename($address), $this->ids('waiting'), 'nobody is their own second');
        $this->signIn('jonas');
        self::assertContains(basename($address), $this->ids('waiting'));
        self::assertNotContains(basename($address), $this->ids('recent'), 'no way to the first scores beside it');
        $this->signIn('ida');
        self::assertSame([], $this->ids('waiting'), 'a learner decides nothing');
        // Whoever looks as the second person is not shown the first one's result on the way.
        $this->signIn('jonas');
        $this->begin('L-01', ['date' => '2027-06-12', 'secondOf' => basename($address)]);
        self::assertNotContains(basename($address), $this->ids('recent'));
    }

    /** @return array<string, int> taxon/part → days left */
    private function parts(string $day): array
    {
        $this->call('PUT', '/api/demo/day', ['day' => $day]);
        $parts = [];
        foreach ((array) self::at($this->call('GET', '/api/today'), 'inWindow') as $row) {
            self::assertIsArray($row);
            self::assertIsString($row['taxon']);
            self::assertIsString($row['part']);
            self::assertIsInt($row['daysLeft']);
            $parts[$row['taxon'].'/'.$row['part']] = $row['daysLeft'];
        }

        return $parts;
    }

    public function testAQuotaOfTheYearThatIsTakenIsTold(): void
    {
        $this->signIn('marta');
        $elders = function (string $list): array {
            $rows = (array) $this->call('GET', '/api/today')[$list];

            return array_column(
                array_filter(
                    $rows,
                    static fn (mixed $r): bool => \is_array($r)
                        && 'sambucus-nigra' === $r['taxon']
                        && \in_array('M-01', (array) $r['trees'], true),
                ),
                'spent',
            );
        };
        $site = self::text(array_column($this->call('GET', '/api/sites'), 'id', 'name'), 'Mill meadow');
        $this->call('PUT', "/api/sites/$site/quotas", ['quotas' => ['sambucus-nigra/flower' => 60]]);
        self::assertSame([[[]], [false]], [$elders('inWindow'), $elders('due')]);
        $this->call('PUT', "/api/sites/$site/quotas", ['quotas' => ['sambucus-nigra/flower' => 1]]);
        self::assertSame([[['Mill meadow']], [true]], [$elders('inWindow'), $elders('due')]);
    }

    /** @return list<mixed> */
    private function ids(string $list): array
    {
        return array_column((array) self::at($this->call('GET', '/api/today'), $list), 'id');
    }

    public function testOwnTreesOfAllPlacesAreDueSoonestFirst(): void
    {
        $this->signIn('marta');
        $due = (array) $this->call('GET', '/api/today')['due'];
        self::assertNotSame([], $due);
        $days = array_column($due, 'daysLeft');
        $sorted = $days;
        sort($sorted);
        self::assertSame($sorted, $days);
        self::assertGreaterThan(
            1,
            \count(array_flip(array_filter(array_column($due, 'site'), is_string(...)))),
            'not of one place alone',
        );
        foreach ($due as $row) {
            self::assertIsArray($row);
            self::assertNotSame([], $row['trees']);
        }
    }

    public function testWeatherThatMattersIsToldOnlyWhereAStationIs(): void
    {
        $this->signIn('marta');
        $told = [];
        foreach (['2027-04-03', '2027-04-21', '2027-06-14', '2027-07-02'] as $day) {
            $this->call('PUT', '/api/demo/day', ['day' => $day]);
            foreach ((array) $this->call('GET', '/api/today')['weather'] as $note) {
                self::assertIsArray($note);
                self::assertNotSame('Upper Leiten wood', $note['site'], 'nobody set one up there');
                self::assertTrue($note['standIn']);
                self::assertLessThan($day, $note['day'], 'it knows nothing of days to come');
                $told[] = $note['matter'];
            }
        }
        self::assertSame(['frost', 'storm'], array_keys(array_flip(array_filter($told, is_string(...)))));
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Hazel;
use Symfony\Component\Uid\Uuid;

/** A day out: what is due, in a good order, and nothing told of what is covered. */
final class PlanApiTest extends ApiTestCase
{
    public function testTheDaySaysWhyWithWhatAndInWhichOrder(): void
    {
        $this->signIn('marta');
        $plan = $this->call('GET', '/api/plan?zone=Europe/Vienna');
        self::assertResponseStatusCodeSame(200);
        self::assertCount(10, (array) $plan['days']);
        self::assertSame(
            ['05:02', '20:55'],
            [self::text($plan, 'sunrise'), self::text($plan, 'sunset')],
            'in June at 47° N',
        );
        $tags = array_column((array) $plan['stops'], 'tag');
        self::assertContains('M-01', $tags);
        self::assertSame($tags, array_keys(array_flip(array_filter($tags, is_string(...)))), 'each once');
        self::assertEqualsWithDelta(
            $plan['seconds'],
            array_sum(array_column((array) $plan['stops'], 'seconds')) +
                (is_numeric($plan['home']) ? $plan['home'] : 0),
            0.5 * (\count($tags) + 2),
            'there and back, each way in whole seconds',
        );
        self::assertContains('knife', (array) $plan['kit']);
        self::assertSame(['Sunny bank'], array_column((array) $plan['permissions'], 'name'), 'it ended in May');
    }

    public function testWhatOneHopesForAloneCallsOut(): void
    {
        $this->signIn('marta');
        $all = $this->call('GET', '/api/plan?day=2027-06-14');
        $choices = array_column((array) $all['choices'], 'id');
        self::assertContains('sambucus-nigra/flower', $choices);
        self::assertContains('castanea-sativa/nut', $choices, 'to be hoped for, though not that day');
        $elder = $this->call('GET', '/api/plan?day=2027-06-14&hopes[]=sambucus-nigra/flower');
        self::assertEqualsCanonicalizing(['M-01', 'M-06'], array_column((array) $elder['stops'], 'tag'));
        self::assertSame($choices, array_column((array) $elder['choices'], 'id'));
        self::assertSame([], $this->call('GET', '/api/plan?day=2027-06-14&hopes[]=castanea-sativa/nut')['stops']);
        $take = self::at($elder, 'stops.0.reasons.0');
        self::assertIsArray($take);
        self::assertSame(['heads', 'flower'], [self::at($take, 'crop.unit'), self::at($take, 'crop.part')]);
        self::assertGreaterThan(5, self::at($take, 'crop.likely'));
    }

    public function testABareTreeIsNotGoneFor(): void
    {
        $this->signIn('marta');
        $this->call('POST', '/api/specimens/'.$this->tree('M-06').'/crops', [
            'id' => Uuid::v4()->toRfc4122(),
            'part' => 'flower',
            'year' => 2027,
            'grade' => 'none',
        ]);
        self::assertResponseStatusCodeSame(200);
        $elder = $this->call('GET', '/api/plan?day=2027-06-14&hopes[]=sambucus-nigra/flower');
        self::assertSame(['M-01'], array_column((array) $elder['stops'], 'tag'));
    }

    public function testTheRoundBeginsAtTheEntranceAndTheCarStaysWhereItIs(): void
    {
        $this->signIn('marta');
        $mill = $this->site('Mill meadow');
        $plan = $this->call('GET', '/api/plan?day=2027-06-14&sites[]='.$mill);
        self::assertSame(['entrance', 'car'], array_column((array) $plan['ends'], 'kind'));
        self::assertEqualsWithDelta(120, $plan['approach'], 60, 'a hundred metres off the path');
        $this->call('PUT', "/api/sites/$mill/ways-in", ['entrance' => [], 'car' => [15.31385, 47.11602]]);
        $car = $this->call('GET', '/api/plan?day=2027-06-14&sites[]='.$mill);
        self::assertSame([['car'], 0], [array_column((array) $car['ends'], 'kind'), $car['approach']]);
        $this->call('PUT', "/api/sites/$mill/ways-in", ['entrance' => [], 'car' => []]);
        self::assertSame(
            ['place'],
            array_column((array) $this->call('GET', '/api/plan?day=2027-06-14&sites[]='.$mill)['ends'], 'kind'),
        );
        // on the way: from where one is, and back to where it began
        $stop = self::at($plan, 'stops.0');
        self::assertIsArray($stop);
        $rest = $this->call(
            'GET',
            "/api/plan?day=2027-06-14&sites[]=$mill&done[]=".
                self::text($stop, 'tree').
                '&fromLatitude='.
                json_encode($stop['latitude']).
                '&fromLongitude='.
                json_encode($stop['longitude']),
        );
        self::assertSame('place', self::at($rest, 'ends.0.kind'));
        self::assertNotSame(self::at($plan, 'stops.0.tag'), self::at($rest, 'stops.0.tag'));
        foreach ([[15.3], [15.3, 97.0], [15.3, 'x'], [null, 47.0], [15.3, 47.1, 5.0]] as $point) {
            $this->call('PUT', "/api/sites/$mill/ways-in", ['entrance' => $point, 'car' => []]);
            self::assertResponseStatusCodeSame(422);
        }
    }

    public function testADayIsKeptOnceStandsInTheCalendarAndIsGivenUp(): void
    {
        $this->signIn('ida');
        $mill = $this->site('Mill meadow');
        $body = ['id' => Uuid::v4()->toRfc4122(), 'day' => '2027-06-17', 'name' => 'Lime flowers', 'sites' => [$mill]];
        $before = $this->call('GET', '/api/plan/days');
        $this->call('POST', '/api/plan/days', $body);
        $kept = $this->call('POST', '/api/plan/days', $body);
        self::assertCount(\count($before) + 1, $kept);
        self::assertSame(['Lime flowers', [$mill]], [self::at($kept, '0.name'), self::at($kept, '0.sites')]);
        self::assertContains('M-01', (array) self::at($kept, '0.trees'));
        $this->client->request('GET', '/api/calendar.ics');
        $calendar = (string) $this->client->getResponse()->getContent();
        self::assertStringContainsString('UID:plan-'.$body['id'].'@hylognosis', $calendar);
        self::assertStringContainsString('SUMMARY:Lime flowers', $calendar);
        foreach (
            [
                ['day' => '2027-06-13'] + $body,
                ['day' => 'soon'] + $body,
                ['sites' => [Uuid::v4()->toRfc4122()]] + $body,
                ['hopes' => [null]] + $body,
            ] as $bad
        ) {
            $this->call('POST', '/api/plan/days', ['id' => Uuid::v4()->toRfc4122()] + $bad);
            self::assertResponseStatusCodeSame(422);
        }
        self::assertProblem(409, 'another day', $this->call('POST', '/api/plan/days', ['day' => '2027-06-18'] + $body));
        $this->signIn('tobias');
        self::assertProblem(403, 'gives it up', $this->call('DELETE', '/api/plan/days/'.$body['id']));
        $this->signIn('ida');
        self::assertSame($before, $this->call('DELETE', '/api/plan/days/'.$body['id']));
        $this->client->request('GET', '/api/calendar.ics');
        self::assertStringNotContainsString($body['id'], (string) $this->client->getResponse()->getContent());
    }

    public function testWhatIsSkippedOrDoneFallsOutAndTheRestIsOrderedAnew(): void
    {
        $this->signIn('marta');
        $stops = array_column((array) $this->call('GET', '/api/plan')['stops'], 'tree', 'tag');
        $first = self::id(reset($stops));
        $second = self::id(next($stops));
        $left = $this->call('GET', '/api/plan?skip[]='.$first.'&done[]='.$second);
        self::assertCount(\count($stops) - 2, (array) $left['stops']);
        self::assertNotContains($first, array_column((array) $left['stops'], 'tree'));
        $one = array_column($this->call('GET', '/api/sites'), 'id', 'name');
        $leiten = self::id($one['Upper Leiten wood'] ?? null);
        $plan = $this->call('GET', '/api/plan?sites[]='.$leiten);
        self::assertSame(
            ['Upper Leiten wood'],
            array_keys(array_flip(array_filter(array_column((array) $plan['stops'], 'site'), is_string(...)))),
        );
    }

    public function testADayThatIsOverAndAPlaceThatIsNoneAreRefused(): void
    {
        $this->signIn('ida');
        self::assertProblem(422, 'over', $this->call('GET', '/api/plan?day=2027-06-13'));
        self::assertProblem(
            422,
            'no such place',
            $this->call('GET', '/api/plan?sites[]=0197a1b2-0000-7000-8000-000000000001'),
        );
        self::assertProblem(422, '', $this->call('GET', '/api/plan?zone=Middle/Earth'));
        self::assertProblem(422, '', $this->call('GET', '/api/plan?day='));
    }

    /** Hazel rods are cut in winter, and hazel is told by leaves and nuts. */
    public function testASummerMarkForWinterRodsIsPlannedMadeAndOpensTheGateInJanuary(): void
    {
        $this->signIn('marta');
        $this->day('2027-09-01');
        $of = fn (): array => (array) (array_column(
            (array) $this->call('GET', '/api/plan?day=2027-09-01&hopes[]=corylus-avellana/rod')['stops'],
            'reasons',
            'tag',
        )['M-07'] ?? []);
        $looks = array_filter($of(), static fn (mixed $r): bool => \is_array($r) && 'look' === $r['kind']);
        self::assertCount(1, $looks);
        self::assertContains('husk', (array) self::at(array_values($looks), '0.features'));
        $address = $this->begin('M-07', [
            'claimTaxon' => 'corylus-avellana',
            'claimPart' => 'rod',
            'date' => '2027-09-01',
        ]);
        $this->score($address, Hazel::SHOWS);
        $this->call('POST', $address.'/sign');
        self::assertResponseStatusCodeSame(200);
        self::assertNotContains('look', array_column($of(), 'kind'), 'it has been made');
        self::assertSame(
            'withheld',
            self::at($this->call('GET', $address), 'assessment.clearance.answer'),
            'in September they are not taken',
        );
        // a deadly kind looks like it: somebody else looks, too, and knows nothing of the first
        $this->signIn('jonas');
        $waits = array_column((array) $this->call('GET', '/api/plan?day=2027-09-01')['stops'], 'reasons', 'tag');
        self::assertSame(['second'], array_column((array) ($waits['M-07'] ?? []), 'kind'));
        $second = $this->begin('M-07', ['secondOf' => basename($address), 'date' => '2027-09-01']);
        // on other leaves and twigs: the same numbers over again would be no second look
        $this->score($second, array_map(static fn (array $s): array => [$s[0], $s[1] + 1], Hazel::SHOWS));
        $this->call('POST', $second.'/sign');
        self::assertResponseStatusCodeSame(200);
        $this->signIn('marta');
        $this->day('2028-01-15');
        $this->call('PATCH', $address, ['conditions' => ['thumb-thick' => true]]);
        self::assertSame(
            'place',
            $this->call('GET', $address.'/points')['nearest'],
            'the permission ran out with the year',
        );
        $sites = array_column($this->call('GET', '/api/sites'), 'id', 'name');
        $this->call('POST', '/api/sites/'.self::id($sites['Mill meadow'] ?? null).'/permissions', [
            'owner' => 'Orlebach parish',
            'given' => true,
            'said' => 'spoken',
            'saidOn' => '2028-01-10',
            'parts' => [],
            'until' => '2028-12-31',
            'note' => '',
        ]);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(
            'cleared',
            self::at($this->call('GET', $address), 'assessment.clearance.answer'),
            (string) json_encode(
                array_column((array) $this->call('GET', $address.'/points')['points'], 'because', 'point'),
            ),
        );
    }

    public function testTheRouteIsReadByOthers(): void
    {
        $this->signIn('marta');
        $plan = $this->call('GET', '/api/plan');
        $this->client->request('GET', '/api/plan.gpx');
        self::assertResponseStatusCodeSame(200);
        $document = new \DOMDocument();
        $document->loadXML((string) $this->client->getResponse()->getContent());
        self::assertTrue($document->schemaValidate(\dirname(__DIR__).'/Reference/data/gpx-1.1.xsd'));
        $names = [];
        foreach ($document->getElementsByTagName('rtept') as $point) {
            $names[] = $point->getElementsByTagName('name')->item(0)?->textContent;
        }
        self::assertSame(
            ['Car', 'Entrance', ...array_column((array) $plan['stops'], 'tag'), 'Entrance', 'Car'],
            $names,
        );
    }

    public function testASecondLookIsPlannedWithoutSayingWhatItIsHopedToBe(): void
    {
        $this->signIn('marta');
        $seconds = [];
        foreach ((array) $this->call('GET', '/api/plan')['stops'] as $stop) {
            foreach ((array) self::at((array) $stop, 'reasons') as $reason) {
                self::assertIsArray($reason);
                if ('second' === $reason['kind']) {
                    $seconds[] = [$reason['taxon'], $reason['name'], $reason['part'], $reason['features']];
                }
            }
        }
        foreach ($seconds as $told) {
            self::assertSame(['', '', '', []], $told);
        }
        self::assertCount(\count((array) $this->call('GET', '/api/today')['waiting']), $seconds, 'as many as wait');
    }

    private function day(string $day): void
    {
        $this->call('PUT', '/api/demo/day', ['day' => $day]);
        self::assertResponseStatusCodeSame(200);
    }

    private static function id(mixed $id): string
    {
        self::assertIsString($id);

        return $id;
    }
}

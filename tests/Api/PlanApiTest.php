<?php

declare(strict_types=1);

namespace App\Tests\Api;

/** A day out: what is due, in a good order, and nothing told of what is covered. */
final class PlanApiTest extends ApiTestCase
{
    private const HAZEL = [
        'leaf.arrangement' => ['alternate', 3],
        'twig.hairs' => ['gland-bristles', 3],
        'leaf.kind' => ['simple', 3],
        'leaf.margin' => ['double-teeth', 4],
        'bud.surface' => ['bare', 3],
        'fruit.husk' => ['leafy', 3],
        'fruit.nut' => ['plain', 3],
        'fruit.kind' => ['nut', 3],
        'leaf.outline' => ['round', 3],
        'leaf.veins' => ['straight', 3],
        'bud.stance' => ['standing-off', 3],
        'leaf.hairs' => ['all-over', 3],
        'twig.pith' => ['narrow', 2],
    ];

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
        self::assertSame(
            $plan['seconds'],
            array_sum(array_column((array) $plan['stops'], 'seconds')) +
                (is_numeric($plan['home']) ? $plan['home'] : 0),
            'there and back',
        );
        self::assertContains('knife', (array) $plan['kit']);
        self::assertSame(['Sunny bank'], array_column((array) $plan['permissions'], 'name'), 'it ended in May');
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
        $this->score($address, self::HAZEL);
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
        $this->score($second, array_map(static fn (array $s): array => [$s[0], $s[1] + 1], self::HAZEL));
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
        self::assertSame(array_column((array) $plan['stops'], 'tag'), $names);
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

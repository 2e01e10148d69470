<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Symfony\Component\Uid\Uuid;

/** The year at a place: what was seen moves what is expected, and nobody learns by it what is covered. */
final class YearApiTest extends ApiTestCase
{
    public function testWindowsOfAKindAreToldForThePlacesWhereItStands(): void
    {
        $this->signIn('ida');
        $places = array_column($this->call('GET', '/api/flora/taxa/sambucus-nigra/windows'), null, 'name');
        self::assertSame('Mill meadow', array_key_first($places));
        self::assertContains('M-01', (array) self::at($places, 'Mill meadow.trees'));
        self::assertSame([], self::at($places, 'Upper Leiten wood.trees'));
        $from = static fn (string $place): mixed => self::at($places, $place.'.parts.0.next.from.likely');
        self::assertLessThan($from('Upper Leiten wood'), $from('Mill meadow'), 'later uphill');
        self::assertProblem(404, 'no such kind', $this->call('GET', '/api/flora/taxa/no-such-kind/windows'));
    }

    public function testThreeDatesOfALateSpringMoveAllWindowsOfTheSite(): void
    {
        $this->signIn('marta');
        $wood = $this->site('Upper Leiten wood');
        $before = $this->windows($wood);
        $other = $this->windows($this->site('Mill meadow'));
        $seen = 0;
        foreach ((array) self::at($this->call('GET', '/api/specimens?site='.$wood), 'trees') as $tree) {
            self::assertIsArray($tree);
            $season = $this->call('GET', '/api/specimens/'.self::text($tree, 'id').'/season');
            foreach ((array) $season['expected'] as $expected) {
                self::assertIsArray($expected);
                if (
                    $seen < 3
                    && 'first-flower' === $expected['event']
                    && null !== $expected['day']
                    && null === $expected['seen']
                ) {
                    $late = (new \DateTimeImmutable(self::text($expected, 'day.likely')))
                        ->modify('+14 days')
                        ->format('Y-m-d');
                    if ($late <= '2027-06-14') {
                        $this->see(self::text($tree, 'id'), 'first-flower', $late);
                        ++$seen;
                    }
                }
            }
        }
        self::assertSame(3, $seen);
        $after = $this->windows($wood);
        $moved = 0;
        foreach ($before as $part => [$from, $fixed]) {
            if (!$fixed && $from > '2027-06-14' && $from < '2027-10-01') {
                // what waits for the leaves to fall knows nothing of spring
                self::assertGreaterThan($from, $after[$part][0], $part);
                ++$moved;
            }
        }
        self::assertGreaterThan(5, $moved);
        $year = $this->call('GET', '/api/year?all=1&site='.$wood);
        self::assertGreaterThan(4.0, $year['late']);
        foreach ($this->windows($this->site('Mill meadow')) as $part => [$from]) {
            self::assertEqualsWithDelta(
                strtotime($other[$part][0]),
                strtotime($from),
                6 * 86_400,
                $part.': another site moves by what it shares of the kind alone',
            );
        }
    }

    public function testAnEventIsRecordedOnceAndTakenBackByWhoeverSawIt(): void
    {
        $this->signIn('ida');
        $tree = $this->tree('M-01');
        $id = Uuid::v4()->toRfc4122();
        $body = ['id' => $id, 'event' => 'first-flower', 'on' => '2027-06-01'];
        $before = \count((array) $this->call('GET', '/api/specimens/'.$tree.'/season')['events']);
        $this->call('POST', '/api/specimens/'.$tree.'/events', $body);
        $season = $this->call('POST', '/api/specimens/'.$tree.'/events', $body);
        self::assertCount($before + 1, (array) $season['events']);
        self::assertProblem(
            409,
            'another event',
            $this->call('POST', '/api/specimens/'.$this->tree('M-02').'/events', $body),
        );
        foreach (
            [
                ['on' => '2027-06-15'] + $body,
                ['on' => '1970-06-15'] + $body,
                ['on' => 'yesterday'] + $body,
                ['event' => 'ripe'] + $body,
                ['id' => 'x'] + $body,
            ] as $bad
        ) {
            self::assertProblem(
                422,
                '',
                $this->call(
                    'POST',
                    '/api/specimens/'.$tree.'/events',
                    ['id' => $bad['id'] === $id ? Uuid::v4()->toRfc4122() : $bad['id']] + $bad,
                ),
            );
        }
        $this->signIn('senna');
        self::assertProblem(403, 'Whoever saw it', $this->call('DELETE', '/api/events/'.$id));
        $this->signIn('ida');
        self::assertCount($before, (array) $this->call('DELETE', '/api/events/'.$id)['events']);
    }

    public function testRodsOfWinterAreExaminedInSummer(): void
    {
        $this->signIn('marta');
        foreach ((array) $this->call('GET', '/api/year?all=1&site='.$this->site('Mill meadow'))['rows'] as $row) {
            self::assertIsArray($row);
            self::assertCount(52, (array) $row['open']);
            self::assertSame(52, \strlen(self::text($row, 'sight')));
            if ('corylus-avellana' === $row['taxon'] && 'rod' === $row['part']) {
                self::assertFalse($row['onTheSpot']);
                self::assertMatchesRegularExpression('/^2027-08/', self::text($row, 'lookFrom'));
                self::assertMatchesRegularExpression('/^2027-(09|10)/', self::text($row, 'lookBy'));
                self::assertSame('f', self::text($row, 'sight')[2], 'in January an examination of summer still holds');
                self::assertGreaterThan(95, ((array) $row['open'])[2]);

                return;
            }
        }
        self::fail('No hazel rods.');
    }

    public function testWhatIsCoveredTellsNothingOfItsYear(): void
    {
        $this->signIn('marta');
        $open = $this->call('GET', '/api/specimens/'.$this->tree('M-02').'/season');
        self::assertNotNull(self::at($open, 'expected.0.day'));
        foreach (['M-13' => 'nobody holds a kind', 'M-09' => 'doubted'] as $tag => $why) {
            $season = $this->call('GET', '/api/specimens/'.$this->tree($tag).'/season');
            self::assertSame([], array_filter(array_column((array) $season['expected'], 'day'), is_array(...)), $why);
        }
    }

    public function testTheLogTellsTheYearsAndNoTrendOfTwo(): void
    {
        $this->signIn('ida');
        $rows = $this->call('GET', '/api/phenology');
        self::assertNotSame([], $rows);
        foreach ($rows as $row) {
            self::assertIsArray($row);
            self::assertNotSame([], $row['days']);
            self::assertSame(\count((array) $row['days']) < 3, null === $row['trend']);
        }
    }

    public function testRecordsOfAStationAreLookedAtBroughtInWholeAndMoveTheYear(): void
    {
        $this->signIn('marta');
        $wood = $this->site('Upper Leiten wood');
        $before = $this->windows($wood);
        self::assertSame(
            [false, null],
            array_values(
                array_intersect_key($this->call('GET', '/api/sites/'.$wood.'/weather'), [
                    'tells' => 0,
                    'warmth' => 0,
                ]),
            ),
        );
        $file = "date;tmin;tmax\n";
        // two years as they are at 1,080 m, but this spring four degrees too cold
        for (
            $day = new \DateTimeImmutable('2025-06-01');
            $day < new \DateTimeImmutable('2027-06-14');
            $day = $day->modify('+1 day')
        ) {
            $mean =
                5.5 -
                9.5 * cos((2 * \M_PI * ((int) $day->format('z') - 20)) / 365) -
                ($day->format('Y') > '2026' ? 4 : 0);
            $file .= \sprintf(
                "%s;%s;%s\n",
                $day->format('d.m.Y'),
                str_replace('.', ',', \sprintf('%.1f', $mean - 5)),
                str_replace('.', ',', \sprintf('%.1f', $mean + 5)),
            );
        }
        $look = $this->bring($wood, $file);
        self::assertSame([false, 743, 743, []], [$look['done'], $look['days'], $look['new'], $look['gaps']]);
        self::assertSame(0, $this->call('GET', '/api/sites/'.$wood.'/weather')['known'], 'only looked at');
        self::assertTrue($this->bring($wood, $file, '?run=1')['done']);
        self::assertSame(
            [0, 0],
            array_values(array_intersect_key($this->bring($wood, $file, '?run=1'), ['new' => 0, 'other' => 0])),
            'twice makes nothing twice',
        );
        $weather = $this->call('GET', '/api/sites/'.$wood.'/weather');
        self::assertTrue($weather['tells']);
        self::assertIsNumeric($weather['warmth']);
        $after = $this->windows($wood);
        self::assertGreaterThan(
            $before['sambucus-nigra fruit'][0],
            $after['sambucus-nigra fruit'][0],
            'a cold spring is late',
        );
        $bad = $this->bring($wood, str_replace('01.06.2026', '31.06.2026', $file), '?run=1');
        self::assertSame([false, ['Line 367, day: "31.06.2026" is no day.']], [$bad['done'], $bad['faults']]);
        $bad = $this->bring($wood, "date,tmin,tmax\n2027-06-20,5,15\n", '?run=1');
        self::assertStringContainsString('a forecast is no record', self::text($bad, 'faults.0'));
    }

    public function testTheStandInPlaysAtAPoleAndOnAPeakToo(): void
    {
        $this->signIn('marta');
        foreach ([[90, 0, 6000], [-90, 0, -400], [47.1, 15.3, 620]] as $n => [$latitude, $longitude, $altitude]) {
            $place = $this->call('POST', '/api/sites', [
                'name' => 'Far away '.$n,
                'latitude' => $latitude,
                'longitude' => $longitude,
                'altitude' => $altitude,
                'soil' => '',
                'light' => '',
                'moisture' => '',
                'exposure' => '',
                'rules' => '',
                'protectedTaxa' => [],
            ]);
            self::assertResponseStatusCodeSame(200);
            $id = self::text($place, 'site.id');
            $this->call('PUT', '/api/sites/'.$id.'/station', ['station' => 'stand-in']);
            self::assertResponseStatusCodeSame(200);
            $this->call('GET', '/api/year?all=1&site='.$id);
            self::assertResponseStatusCodeSame(200);
        }
    }

    private function see(string $tree, string $event, string $on): void
    {
        $this->call('POST', '/api/specimens/'.$tree.'/events', [
            'id' => Uuid::v4()->toRfc4122(),
            'event' => $event,
            'on' => $on,
        ]);
        self::assertResponseStatusCodeSame(200);
    }

    /** @return array<string, array{string, bool}> first likely day of the window of each part, and whether it moves with nothing */
    private function windows(string $site): array
    {
        $windows = [];
        foreach ((array) $this->call('GET', '/api/year?all=1&site='.$site)['rows'] as $row) {
            self::assertIsArray($row);
            $windows[self::text($row, 'taxon').' '.self::text($row, 'part')] = [
                self::text($row, 'next.from.likely'),
                true === self::at($row, 'next.fixed'),
            ];
        }

        return $windows;
    }
}

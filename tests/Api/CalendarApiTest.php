<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Symfony\Component\Process\Process;
use Symfony\Component\Uid\Uuid;

/** The year in one's own calendar: read by others, moved and not doubled, and closed when it is to be. */
final class CalendarApiTest extends ApiTestCase
{
    public function testItIsReadByOthersAndWindowsAreWholeDays(): void
    {
        $this->signIn('marta');
        $events = $this->read('/api/calendar.ics');
        $windows = array_filter($events, static fn (array $e): bool => str_starts_with($e['uid'], 'window-'));
        self::assertNotSame([], $windows);
        foreach ($events as $event) {
            self::assertMatchesRegularExpression('/^\d{4}-\d\d-\d\d$/D', $event['from'], 'whole days');
            self::assertLessThan($event['to'], $event['from']);
        }
        $hazel = array_values(
            array_filter($events, static fn (array $e): bool => 'Examine hazel, rods' === $e['summary']),
        );
        self::assertCount(1, $hazel);
        self::assertStringStartsWith('2027-08', $hazel[0]['from']);
        self::assertContains('Permission ends: Mill meadow', array_column($events, 'summary'));
    }

    public function testAnotherDateMovesAnEventAndWhatIsNoMoreIsGone(): void
    {
        $this->signIn('marta');
        $before = array_column($this->read('/api/calendar.ics'), 'from', 'uid');
        $tree = $this->tree('M-02');
        $site = self::text(array_column($this->call('GET', '/api/sites'), 'id', 'name'), 'Mill meadow');
        $this->call('POST', '/api/specimens/'.$tree.'/events', [
            'id' => Uuid::v4()->toRfc4122(),
            'event' => 'first-flower',
            'on' => '2027-06-13',
        ]);
        self::assertResponseStatusCodeSame(200);
        $after = array_column($this->read('/api/calendar.ics'), 'from', 'uid');
        self::assertSame(array_keys($before), array_keys($after), 'the same events');
        self::assertNotSame($before, $after, 'on other days');
        $this->call('POST', '/api/specimens/'.$tree.'/doubt', ['because' => 'The burs look wrong.']);
        $left = array_column($this->read('/api/calendar.ics'), 'uid');
        self::assertSame(
            [],
            array_filter($left, static fn (string $uid): bool => str_contains($uid, $site.'-castanea-sativa')),
        );
        self::assertSame([], array_diff($left, array_keys($after)));
    }

    public function testThePrivateAddressIsToldOnceAndTakenBack(): void
    {
        $this->signIn('ida');
        self::assertFalse($this->call('GET', '/api/calendar')['set']);
        $path = self::text($this->call('POST', '/api/calendar', []), 'path');
        self::assertSame(['set' => true, 'path' => null], $this->call('GET', '/api/calendar'));
        $this->client->getCookieJar()->clear();
        self::assertNotSame([], $this->read($path));
        $this->signIn('ida');
        $other = self::text($this->call('POST', '/api/calendar', []), 'path');
        $this->client->request('GET', $path);
        self::assertResponseStatusCodeSame(404, 'the old one leads nowhere');
        $this->call('DELETE', '/api/calendar');
        $this->client->request('GET', $other);
        self::assertResponseStatusCodeSame(404);
        $this->client->request('GET', '/api/feed/'.str_repeat('A', 32).'.ics');
        self::assertResponseStatusCodeSame(404);
    }

    /** @return list<array{uid: string, summary: string, from: string, to: string, stamp: string}> */
    private function read(string $path): array
    {
        $this->client->request('GET', $path);
        self::assertResponseStatusCodeSame(200);
        self::assertStringStartsWith(
            'text/calendar',
            (string) $this->client->getResponse()->headers->get('Content-Type'),
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'ics');
        file_put_contents($file, $this->client->getResponse()->getContent());
        $process = new Process(['/usr/bin/python3', \dirname(__DIR__).'/Reference/read_calendar.py', $file]);
        $process->run();
        unlink($file);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        /** @var list<array{uid: string, summary: string, from: string, to: string, stamp: string}> $events */
        $events = json_decode($process->getOutput(), true, flags: \JSON_THROW_ON_ERROR);

        return $events;
    }
}

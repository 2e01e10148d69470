<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;
use Symfony\Component\Uid\Uuid;

/** What a tree may bear: by what is known of it, and what hung on it. */
final class CropApiTest extends ApiTestCase
{
    public function testAnOutlookSaysWhatSpeaksForItAndAgainstItAndHowMuch(): void
    {
        $this->signIn('marta');
        $chestnut = $this->crop('M-02', 'nut');
        self::assertSame(2027, $chestnut['year']);
        self::assertSame(100, array_sum(array_filter((array) $chestnut['chances'], is_int(...))));
        self::assertSame('kg', $chestnut['unit']);
        self::assertLessThan($chestnut['likely'], $chestnut['least']);
        self::assertLessThan($chestnut['most'], $chestnut['likely']);
        self::assertSame(
            [2026, 40, 33, 67, 93],
            [
                $chestnut['soundYear'],
                $chestnut['opened'],
                $chestnut['sound'],
                $chestnut['soundLeast'],
                $chestnut['soundMost'],
            ],
        );
        self::assertContains('wild boar', (array) $chestnut['rivals']);
        self::assertSame('after-good-year', self::point($this->crop('L-05', 'nut'), 'mast'), 'two years after');
        // yew is held, and nothing is taken of it
        self::assertSame([], $this->call('GET', '/api/specimens/'.$this->tree('L-03').'/crops')['crops']);
        // its kind is doubted
        self::assertSame([], $this->call('GET', '/api/specimens/'.$this->tree('M-09').'/crops')['crops']);
    }

    public function testWhatIsSeenHangingCountsForTheTreeAndForItsKindThere(): void
    {
        $this->signIn('ida');
        $before = $this->crop('M-01', 'flower');
        $tree = $this->tree('M-06');
        $body = ['id' => Uuid::v4()->toRfc4122(), 'part' => 'flower', 'year' => 2027, 'grade' => 'poor'];
        $this->call('POST', "/api/specimens/$tree/crops", $body);
        $seen = $this->call('POST', "/api/specimens/$tree/crops", $body);
        self::assertResponseStatusCodeSame(200);
        self::assertCount(1, (array) $seen['notes'], 'sent twice, kept once');
        $own = $this->crop('M-06', 'flower');
        self::assertSame(['poor', 80], [$own['seen'], self::at($own, 'chances.poor')]);
        $after = $this->crop('M-01', 'flower');
        self::assertNull($after['seen']);
        self::assertContains('others-bare', array_column((array) $after['points'], 'kind'));
        self::assertLessThan($before['likely'], $after['likely']);
        $this->signIn('tobias');
        self::assertProblem(403, 'takes it back', $this->call('DELETE', '/api/crop-notes/'.$body['id']));
        $this->signIn('ida');
        self::assertSame([], $this->call('DELETE', '/api/crop-notes/'.$body['id'])['notes']);
        self::assertSame($before['likely'], $this->crop('M-01', 'flower')['likely']);
    }

    public function testAFrostyNightAtFloweringIsReadFromTheStation(): void
    {
        $this->signIn('marta');
        $wood = $this->site('Upper Leiten wood');
        $before = $this->crop('L-05', 'nut');
        self::assertContains('frost-unknown', array_column((array) $before['points'], 'kind'), 'no station');
        $lines = "date,tmin,tmax\n";
        $night = '2027-05-20';
        for (
            $day = new \DateTimeImmutable('2027-04-01');
            $day < new \DateTimeImmutable('2027-06-14');
            $day = $day->modify('+1 day')
        ) {
            $lines .= $day->format('Y-m-d').','.($night === $day->format('Y-m-d') ? '-3.6' : '5').",16\n";
        }
        $this->bring($wood, $lines, '?run=1');
        $this->call('PUT', "/api/sites/$wood/station", ['station' => 'records']);
        self::assertResponseStatusCodeSame(200);
        $hurt = $this->crop('L-05', 'nut');
        $frost = array_column((array) $hurt['points'], 'with', 'kind')['frost-took'] ?? null;
        self::assertIsArray($frost, (string) json_encode($hurt['points']));
        self::assertSame($night, $frost['night']);
        self::assertLessThan(0.5 * (float) json_encode($before['most']), $hurt['most']);
    }

    public function testBadNotesAreRefusedAndNothingIsKept(): void
    {
        $this->signIn('marta');
        $tree = $this->tree('M-02');
        $good = [
            'id' => Uuid::v4()->toRfc4122(),
            'part' => 'nut',
            'year' => 2026,
            'grade' => 'good',
            'opened' => 10,
            'sound' => 9,
        ];
        $notes = $this->call('GET', "/api/specimens/$tree/crops")['notes'];
        foreach (
            [
                ['part' => 'flower'],
                ['year' => 1900],
                ['year' => 2029],
                ['grade' => 'splendid'],
                ['sound' => 11],
                ['opened' => -1],
                ['grade' => 'none'],
                ['id' => 'x'],
            ] as $wrong
        ) {
            $this->call('POST', "/api/specimens/$tree/crops", $wrong + $good);
            self::assertResponseStatusCodeSame(422, (string) json_encode($wrong));
        }
        $this->call('POST', '/api/specimens/'.$this->tree('M-13').'/crops', $good);
        self::assertResponseStatusCodeSame(422, 'nobody has said what it is');
        self::assertSame($notes, $this->call('GET', "/api/specimens/$tree/crops")['notes']);
    }

    public function testOfACoveredTreeNothingIsTold(): void
    {
        $this->signIn('marta');
        $address = $this->begin('M-07', ['claimTaxon' => 'abies-alba', 'claimPart' => 'young-shoot']);
        $this->score($address, Starter::FIR_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['soft-and-light' => true, 'sprayed' => false]]);
        $this->call('POST', $address.'/sign');
        $crops = '/api/specimens/'.$this->tree('M-07').'/crops';
        self::assertNotSame([], $this->call('GET', $crops)['notes']);
        $this->signIn('jonas');
        self::assertSame(['crops' => [], 'notes' => []], $this->call('GET', $crops), 'who could be the second person');
        $file = $this->fetch('/api/export/crops.csv');
        self::assertStringContainsString('M-02,nut', $file);
        self::assertStringNotContainsString('M-07', $file);
        $note = ['id' => Uuid::v4()->toRfc4122(), 'part' => 'nut', 'year' => 2026, 'grade' => 'good'];
        $told = $this->call('POST', $crops, $note);
        self::assertResponseStatusCodeSame(422);
        self::assertSame(
            'Nobody has said what kind of tree it is.',
            self::at($told, 'violations.0.title'),
            'as of a tree of which nothing is held',
        );
    }

    /** @return array<mixed> */
    private function crop(string $tag, string $part): array
    {
        $crops = array_column(
            (array) $this->call('GET', '/api/specimens/'.$this->tree($tag).'/crops')['crops'],
            null,
            'part',
        );
        self::assertIsArray($crops[$part] ?? null);

        return $crops[$part];
    }

    /** @param array<mixed> $crop */
    private static function point(array $crop, string $of): string
    {
        self::assertSame('mast', $of);
        foreach (array_column((array) $crop['points'], 'kind') as $kind) {
            if (\in_array($kind, ['good-year-due', 'after-good-year', 'no-good-year-known'], true)) {
                return $kind;
            }
        }
        self::fail('Nothing is said of good years.');
    }

    private function fetch(string $address): string
    {
        $this->client->request('GET', $address);
        self::assertResponseStatusCodeSame(200);

        return $this->client->getInternalResponse()->getContent();
    }
}

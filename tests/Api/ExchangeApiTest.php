<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Symfony\Component\Yaml\Yaml;

/** What goes out is read by others; what comes in is taken whole or not at all, and twice makes nothing twice. */
final class ExchangeApiTest extends ApiTestCase
{
    private const ID = '0197a1b2-0000-7000-8000-00000000000';

    public function testGpxIsOfTheSchemaAndReadByOthers(): void
    {
        $this->signIn('ida');
        $text = $this->fetch('trees.gpx');
        $document = new \DOMDocument();
        $document->loadXML($text);
        self::assertTrue($document->schemaValidate(\dirname(__DIR__).'/Reference/data/gpx-1.1.xsd'));
        $found = $this->readElsewhere('gpx', $text);
        self::assertCount(3 + 39, $found);
        $chestnut =
            array_values(
                array_filter($found, static fn (mixed $w): bool => \is_array($w) && 'M-02' === $w['name']),
            )[0] ?? null;
        self::assertSame(
            [
                'name' => 'M-02',
                'type' => 'tree',
                'lat' => 47.12268,
                'lon' => 15.30942,
                'ele' => null,
                'desc' => 'Terrace above the mill, the big one with the bench',
            ],
            $chestnut,
        );
    }

    public function testGeoJsonIsValidElsewhereAndWindsAsTheStandardSays(): void
    {
        $this->signIn('ida');
        $found = $this->readElsewhere('geojson', $this->fetch('trees.geojson'));
        self::assertTrue($found['valid'], (string) json_encode($found['errors']));
        $kinds = array_count_values(self::texts($found['features'], 'type'));
        self::assertSame(['Polygon' => 3, 'Point' => 39], $kinds);
        foreach ((array) $found['features'] as $feature) {
            self::assertIsArray($feature);
            if ('Polygon' === $feature['type']) {
                self::assertGreaterThan(
                    0,
                    self::area((array) ((array) $feature['coordinates'])[0]),
                    'the outer ring goes against the clock',
                );
            }
        }
    }

    public function testCsvAndDarwinCoreAreReadByOthers(): void
    {
        $this->signIn('marta');
        $trees = $this->readElsewhere('csv', $this->fetch('trees.csv'));
        self::assertCount(44, $trees);
        self::assertSame('Taxus baccata', array_column($trees, 'kind', 'tag')['L-03']);
        self::assertSame('', array_column($trees, 'kind', 'tag')['M-09'], 'doubted');
        $examinations = $this->readElsewhere('csv', $this->fetch('examinations.csv'));
        $scores = $this->readElsewhere('csv', $this->fetch('scores.csv'));
        self::assertSame([], array_diff(self::texts($scores, 'examination'), self::texts($examinations, 'id')));
        self::assertNotSame([], $this->readElsewhere('csv', $this->fetch('harvests.csv')));
        $archive = $this->readElsewhere('dwca', $this->fetch('occurrences.zip'));
        self::assertSame([], $archive['orphans']);
        self::assertSame('http://rs.tdwg.org/dwc/terms/Occurrence', self::at($archive, 'core.rowType'));
        self::assertSame('http://rs.tdwg.org/dwc/terms/MeasurementOrFact', self::at($archive, 'extensions.0.rowType'));
        self::assertGreaterThan(200, \count((array) self::at($archive, 'extensions.0.rows')));
        $rows = (array) self::at($archive, 'core.rows');
        self::assertIsInt($archive['ids']);
        self::assertCount($archive['ids'], $rows, 'every occurrence has an id of its own');
        $dwc = 'http://rs.tdwg.org/dwc/terms/';
        $names = array_column($rows, $dwc.'scientificName', $dwc.'catalogNumber');
        self::assertSame(['Castanea sativa', ''], [$names['M-02'], $names['M-13']]);
        $came = array_column($rows, $dwc.'reproductiveCondition', $dwc.'occurrenceRemarks');
        self::assertSame(
            ['first flower open', ''],
            [$came['first flower open'], $came['in full leaf']],
            'leaves are no reproductive condition',
        );
        self::assertCount(
            38,
            array_filter(self::texts($rows, $dwc.'occurrenceRemarks'), static fn (string $t): bool => '' !== $t),
            'one for each date',
        );
        self::assertCount(38, $this->readElsewhere('csv', $this->fetch('events.csv')));
        $crops = $this->readElsewhere('csv', $this->fetch('crops.csv'));
        self::assertContains(
            ['M-02', 'nut', '2026', 'good', '40', '33'],
            array_map(
                static fn (mixed $row): array => \is_array($row) ? array_values(\array_slice($row, 1, 6)) : [],
                $crops,
            ),
        );
    }

    public function testPicturesLeaveWithATableThatSaysWhatEachIsOf(): void
    {
        $this->signIn('ida');
        self::assertProblem(403, '', $this->call('GET', '/api/export/pictures.zip'));
        $this->signIn('marta');
        $listed = $this->call('GET', '/api/specimens/'.$this->tree('M-02').'/pictures');
        self::assertNotSame([], $listed);
        $path = (string) tempnam(sys_get_temp_dir(), 'pictures');
        file_put_contents($path, $this->fetch('pictures.zip'));
        $zip = new \ZipArchive();
        self::assertTrue($zip->open($path, \ZipArchive::CHECKCONS));
        $rows = $this->readElsewhere('csv', (string) $zip->getFromName('pictures.csv'));
        self::assertCount($zip->numFiles - 1, $rows);
        self::assertCount(\count($listed), array_keys(self::texts($rows, 'tag'), 'M-02', true));
        foreach ($rows as $row) {
            self::assertIsArray($row);
            self::assertSame($row['sha256'], hash('sha256', (string) $zip->getFromName(self::text($row, 'file'))));
        }
        $zip->close();
        unlink($path);
    }

    public function testWhatWentOutComesInAgainAndNothingIsNew(): void
    {
        $this->signIn('marta');
        foreach (
            [
                'trees.gpx' => 'trees',
                'trees.geojson' => 'trees',
                'trees.csv' => 'trees',
                'occurrences.zip' => 'trees',
                'examinations.csv' => 'examinations',
                'scores.csv' => 'scores',
                'harvests.csv' => 'harvests',
            ] as $file => $what
        ) {
            $plan = $this->send($what, $this->fetch($file));
            self::assertSame(
                [0, 0, 0],
                [$plan['made'], $plan['changed'], $plan['refused']],
                $file.': '.json_encode($plan),
            );
            self::assertGreaterThan(0, $plan['same'], $file);
        }
    }

    public function testAFileIsLookedAtThenBroughtInWholeAndTheSecondTimeMakesNothing(): void
    {
        $this->signIn('marta');
        $file =
            "tag,place,whereabouts,latitude,longitude,stage\r\n".
            "N-01,Mill meadow,\"By the \"\"old\"\" gate, left\",47.1201,15.3102,young\r\n".
            "M-13,,Wet corner by the pond,47.11701,15.30901,\r\n";
        $look = $this->send('trees', $file);
        self::assertSame([1, 1, 0, false], [$look['made'], $look['changed'], $look['refused'], $look['done']]);
        self::assertSame(0, self::at($this->call('GET', '/api/specimens?q=N-01'), 'total'), 'only looked at');
        $done = $this->send('trees', $file, run: true);
        self::assertTrue($done['done']);
        $tree = $this->call('GET', '/api/specimens/'.$this->tree('N-01').'/page');
        self::assertSame(
            ['By the "old" gate, left', 'file', 'young'],
            [self::at($tree, 'tree.whereabouts'), $tree['positionFrom'], $tree['stage']],
        );
        $again = $this->send('trees', $file, run: true);
        self::assertSame([0, 0, 2], [$again['made'], $again['changed'], $again['same']]);
        self::assertSame('brought in', self::at($this->call('GET', '/api/people'), 'deeds.0.what'));
    }

    public function testAPlaceWithItsBoundaryComesFromGeoJson(): void
    {
        $this->signIn('marta');
        $polygon =
            '{"type": "Feature", "properties": {"is": "place", "name": "Weir island", "altitude_m": 545},'.
            ' "geometry": {"type": "Polygon", "coordinates":'.
            ' [[[15.30, 47.10], [15.31, 47.10], [15.31, 47.11], [15.30, 47.10]]]}}';
        self::assertTrue($this->send('trees', $polygon, run: true)['done']);
        $places = array_column((array) self::at($this->call('GET', '/api/map/trees'), 'places'), 'boundary', 'name');
        self::assertCount(3, (array) $places['Weir island']);
        self::assertSame(1, $this->send('trees', $polygon)['same']);
    }

    public function testWhatWasExaminedElsewhereIsReadAndOpensNoGate(): void
    {
        $this->signIn('marta');
        $id = self::ID.'1';
        $examinations =
            "id,tag,examiner,date,flora,claim_taxon,claim_part,signed_at\r\n".
            "$id,M-13,Jonas Brandauer,2027-06-12,central-european-hills,sambucus-nigra,flower,2027-06-12T10:00:00+02:00\r\n";
        self::assertTrue($this->send('examinations', $examinations, run: true)['done']);
        $scores = "id,examination,character,answer,states,numbers,samples,recorded_at\r\n";
        $n = 0;
        foreach (Starter::ELDER_AS_SHIPPED as $character => $scored) {
            $value = $scored[0];
            $scores .=
                implode(',', [
                    \sprintf('0197a1b2-0000-7000-8000-0000000001%02x', ++$n),
                    $id,
                    $character,
                    'seen',
                    \is_string($value) ? $value : '',
                    \is_string($value) ? '' : implode(' ', $value),
                    $scored[1] ?? \count((array) $value),
                    \sprintf('2027-06-12T09:%02d:00+02:00', $n),
                ])."\r\n";
        }
        $done = $this->send('scores', $scores, run: true);
        self::assertTrue($done['done'], (string) json_encode($done));
        $this->signIn('jonas');
        $examination = $this->call('GET', '/api/examinations/'.$id);
        self::assertSame('withheld', self::at($examination, 'assessment.clearance.answer'));
        $this->call('PATCH', '/api/examinations/'.$id, ['conditions' => ['in-full-bloom' => true]]);
        self::assertSame(
            'withheld',
            self::at($this->call('GET', '/api/examinations/'.$id), 'assessment.clearance.answer'),
        );
        self::assertProblem(
            409,
            'The gate is not open',
            $this->call('POST', '/api/examinations/'.$id.'/harvests', ['amount' => 3, 'unit' => 'heads']),
        );
    }

    public function testADocumentGoesOutAndComesInAsAnotherExamination(): void
    {
        $this->signIn('marta');
        $known = $this->call('GET', '/api/specimens/'.$this->tree('M-03').'/known?all=1');
        $this->client->request(
            'GET',
            '/api/examinations/'.self::text($known, 'decisions.0.examination').'/document',
        );
        self::assertResponseStatusCodeSame(200);
        $document = (string) $this->client->getResponse()->getContent();
        $tree = $this->tree('M-13');
        $done = $this->send('examination', $document, run: true, query: '&tree='.$tree);
        self::assertTrue($done['done'], (string) json_encode($done));
        self::assertSame(1, $this->send('examination', $document, run: true, query: '&tree='.$tree)['same']);
        self::assertNotSame([], self::at($this->call('GET', '/api/specimens/'.$tree.'/known?all=1'), 'known'));
    }

    /** @return iterable<string, array{string, string}> */
    public static function formats(): iterable
    {
        yield 'GPX and GeoJSON' => ['ground', 'trees'];
        yield 'trees and places in them' => ['trees', 'trees'];
        yield 'a table of trees' => ['csv', 'trees'];
        yield 'Darwin Core' => ['dwca', 'trees'];
        yield 'examinations' => ['examinations', 'examinations'];
        yield 'scores' => ['scores', 'scores'];
        yield 'harvests' => ['harvests', 'harvests'];
        yield 'an examination document' => ['document', 'examination'];
    }

    #[DataProvider('formats')]
    public function testBadFilesAreRefusedWholeSayingWhere(string $section, string $what): void
    {
        $this->signIn('marta');
        $before = self::at($this->call('GET', '/api/specimens'), 'total');
        $query = 'examination' === $what ? '&tree='.$this->tree('M-13') : '';
        $files = self::bad($section);
        self::assertGreaterThanOrEqual(20, \count($files));
        foreach ($files as $name => [$file, $line, $column, $reason]) {
            $plan = $this->send($what, $file, run: true, query: $query);
            self::assertFalse($plan['done'], $name);
            self::assertGreaterThan(0, $plan['refused'], $name);
            $fault = self::at($plan, 'faults.0');
            self::assertIsArray($fault);
            self::assertStringContainsString($reason, self::text($fault, 'reason'), $name);
            self::assertSame($line, $fault['line'], $name);
            self::assertSame($column, self::shown($file, $line, self::text($fault, 'column'), $column), $name);
        }
        self::assertSame($before, self::at($this->call('GET', '/api/specimens'), 'total'));
    }

    public function testABaseMapIsTakenWholeOrNotAtAll(): void
    {
        $this->signIn('marta');
        $before = $this->call('GET', '/api/map/base');
        foreach ([...self::bad('ground'), ...self::bad('tracks')] as $name => [$file, , , $reason]) {
            self::assertProblem(422, $reason, $this->post('/api/map/base', $file));
            self::assertResponseStatusCodeSame(422, $name);
        }
        self::assertSame($before, $this->call('GET', '/api/map/base'));
        $track =
            '<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>'.
            '<trkpt lat="47.1" lon="15.3"/><trkpt lat="47.2" lon="15.3"/></trkseg></trk></gpx>';
        self::assertSame(['lines' => 1, 'areas' => 0, 'points' => 0], $this->post('/api/map/base', $track));
        self::assertCount(1, (array) self::at($this->call('GET', '/api/map/base'), 'features'));
        $this->post('/api/map/base', '');
        self::assertSame($before, $this->call('GET', '/api/map/base'), 'the valley again');
    }

    /** @return array<string, array{string, int, string, string}> what is wrong → file, line, column, reason */
    private static function bad(string $section): array
    {
        $found = [];
        /** @var list<array{string, string|array<string, string>, int, string, string}> $rows */
        $rows = ((array) Yaml::parseFile(__DIR__.'/bad-files.yaml'))[$section];
        foreach ($rows as [$name, $file, $line, $column, $reason]) {
            if (\is_array($file)) {
                $file = self::zip(array_map(static fn (string $text): string => self::bytes($text, $reason), $file));
                $file = str_starts_with($name, 'cut short') ? substr($file, 0, 200) : $file;
            }
            $found[$name] = [self::bytes($file, $reason), $line, $column, $reason];
        }

        return $found;
    }

    /** Where bytes that are no UTF-8 are to be refused, they are written here as they look in Latin 1. */
    private static function bytes(string $text, string $reason): string
    {
        return 'not UTF-8' === $reason && mb_check_encoding($text, 'UTF-8')
            ? mb_convert_encoding($text, 'ISO-8859-1', 'UTF-8')
            : $text;
    }

    /** What stands at a column told by number, as far as it is expected; the column itself where it is told by name. */
    private static function shown(string $file, int $line, string $column, string $expected): string
    {
        return str_starts_with($expected, '@')
            ? '@'.
                    substr(
                        preg_split('/\r\n|\n|\r/', $file)[$line - 1] ?? '',
                        (int) $column - 1,
                        \strlen($expected) - 1,
                    )
            : $column;
    }

    /** @param array<string, string> $files */
    private static function zip(array $files): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'dwca');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::OVERWRITE);
        foreach ($files as $name => $text) {
            $zip->addFromString($name, $text);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    private function fetch(string $file): string
    {
        ob_start();
        $this->client->request('GET', '/api/export/'.$file);
        $echoed = (string) ob_get_clean();
        self::assertResponseStatusCodeSame(200);
        $sent = $this->client->getInternalResponse()->getContent();

        return '' !== $sent ? $sent : $echoed;
    }

    /** @return array<mixed> */
    private function send(string $what, string $file, bool $run = false, string $query = ''): array
    {
        $answer = $this->post('/api/import/'.$what.'?run='.($run ? '1' : '0').$query, $file);
        self::assertResponseStatusCodeSame(200, (string) json_encode($answer));

        return $answer;
    }

    /** @return array<mixed> */
    private function post(string $path, string $file): array
    {
        $this->client->request(
            'POST',
            $path,
            server: [
                'CONTENT_TYPE' => 'application/octet-stream',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: $file,
        );
        $answer = json_decode((string) $this->client->getResponse()->getContent(), true);

        return \is_array($answer) ? $answer : [];
    }

    /** @return array<mixed> */
    private function readElsewhere(string $kind, string $text): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'out');
        file_put_contents($path, $text);
        $process = new Process(['/usr/bin/python3', \dirname(__DIR__).'/Reference/read_exports.py', $kind, $path]);
        $process->run();
        unlink($path);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
        $found = json_decode($process->getOutput(), true);
        self::assertIsArray($found);

        return $found;
    }

    /** @return list<string> */
    private static function texts(mixed $rows, string $column): array
    {
        return array_values(array_filter(array_column((array) $rows, $column), is_string(...)));
    }

    /** @param array<mixed> $ring twice the area, above 0 against the clock */
    private static function area(array $ring): float
    {
        $area = 0.0;
        for ($i = 0; $i < \count($ring) - 1; ++$i) {
            /** @var array{float, float} $a */
            $a = $ring[$i];
            /** @var array{float, float} $b */
            $b = $ring[$i + 1];
            $area += $a[0] * $b[1] - $b[0] * $a[1];
        }

        return $area;
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;

/** What goes out is read by others; what comes in is taken whole or not at all, and twice makes nothing twice. */
final class ExchangeApiTest extends ApiTestCase
{
    private const GPX = '<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1">%s</gpx>';
    private const ID = '0197a1b2-0000-7000-8000-00000000000';

    public function testGpxIsOfTheSchemaAndReadByOthers(): void
    {
        $this->signIn('ida');
        $text = $this->fetch('trees.gpx');
        $document = new \DOMDocument();
        $document->loadXML($text);
        self::assertTrue($document->schemaValidate(\dirname(__DIR__).'/Reference/data/gpx-1.1.xsd'));
        $found = $this->readElsewhere('gpx', $text);
        self::assertCount(3 + 36, $found);
        $chestnut = array_values(array_filter($found, static fn (mixed $w): bool => \is_array($w) && 'M-02' === $w['name']))[0] ?? null;
        self::assertSame(
            ['name' => 'M-02', 'type' => 'tree', 'lat' => 47.12268, 'lon' => 15.30942, 'ele' => null, 'desc' => 'Terrace above the mill, the big one with the bench'],
            $chestnut,
        );
    }

    public function testGeoJsonIsValidElsewhereAndWindsAsTheStandardSays(): void
    {
        $this->signIn('ida');
        $found = $this->readElsewhere('geojson', $this->fetch('trees.geojson'));
        self::assertTrue($found['valid'], (string) json_encode($found['errors']));
        $kinds = array_count_values(array_column((array) $found['features'], 'type'));
        self::assertSame(['Polygon' => 3, 'Point' => 36], $kinds);
        foreach ((array) $found['features'] as $feature) {
            self::assertIsArray($feature);
            if ('Polygon' === $feature['type']) {
                self::assertGreaterThan(0, self::area((array) ((array) $feature['coordinates'])[0]), 'the outer ring goes against the clock');
            }
        }
    }

    public function testCsvAndDarwinCoreAreReadByOthers(): void
    {
        $this->signIn('marta');
        $trees = $this->readElsewhere('csv', $this->fetch('trees.csv'));
        self::assertCount(40, $trees);
        self::assertSame('Taxus baccata', array_column($trees, 'kind', 'tag')['L-03']);
        self::assertSame('', array_column($trees, 'kind', 'tag')['M-09'], 'doubted');
        $examinations = $this->readElsewhere('csv', $this->fetch('examinations.csv'));
        $scores = $this->readElsewhere('csv', $this->fetch('scores.csv'));
        self::assertSame([], array_diff(array_column($scores, 'examination'), array_column($examinations, 'id')));
        self::assertNotSame([], $this->readElsewhere('csv', $this->fetch('harvests.csv')));
        $archive = $this->readElsewhere('dwca', $this->fetch('occurrences.zip'));
        self::assertSame([], $archive['orphans']);
        self::assertSame('http://rs.tdwg.org/dwc/terms/Occurrence', self::at($archive, 'core.rowType'));
        self::assertSame('http://rs.tdwg.org/dwc/terms/MeasurementOrFact', self::at($archive, 'extensions.0.rowType'));
        self::assertGreaterThan(200, \count((array) self::at($archive, 'extensions.0.rows')));
        $rows = (array) self::at($archive, 'core.rows');
        self::assertCount($archive['ids'] ?? 0, $rows, 'every occurrence has an id of its own');
        $dwc = 'http://rs.tdwg.org/dwc/terms/';
        $names = array_column($rows, $dwc.'scientificName', $dwc.'catalogNumber');
        self::assertSame(['Castanea sativa', ''], [$names['M-02'], $names['M-13']]);
    }

    public function testWhatWentOutComesInAgainAndNothingIsNew(): void
    {
        $this->signIn('marta');
        foreach (['trees.gpx' => 'trees', 'trees.geojson' => 'trees', 'trees.csv' => 'trees', 'occurrences.zip' => 'trees', 'examinations.csv' => 'examinations', 'scores.csv' => 'scores', 'harvests.csv' => 'harvests'] as $file => $what) {
            $plan = $this->send($what, $this->fetch($file));
            self::assertSame([0, 0, 0], [$plan['made'], $plan['changed'], $plan['refused']], $file.': '.json_encode($plan));
            self::assertGreaterThan(0, $plan['same'], $file);
        }
    }

    public function testAFileIsLookedAtThenBroughtInWholeAndTheSecondTimeMakesNothing(): void
    {
        $this->signIn('marta');
        $file = "tag,place,whereabouts,latitude,longitude,stage\r\nN-01,Mill meadow,\"By the \"\"old\"\" gate, left\",47.1201,15.3102,young\r\nM-13,,Wet corner by the pond,47.11701,15.30901,\r\n";
        $look = $this->send('trees', $file);
        self::assertSame([1, 1, 0, false], [$look['made'], $look['changed'], $look['refused'], $look['done']]);
        self::assertSame(0, self::at($this->call('GET', '/api/specimens?q=N-01'), 'total'), 'only looked at');
        $done = $this->send('trees', $file, run: true);
        self::assertTrue($done['done']);
        $tree = $this->call('GET', '/api/specimens/'.$this->tree('N-01').'/page');
        self::assertSame(['By the "old" gate, left', 'file', 'young'], [self::at($tree, 'tree.whereabouts'), $tree['positionFrom'], $tree['stage']]);
        $again = $this->send('trees', $file, run: true);
        self::assertSame([0, 0, 2], [$again['made'], $again['changed'], $again['same']]);
        self::assertSame('brought in', self::at($this->call('GET', '/api/people'), 'deeds.0.what'));
    }

    public function testAPlaceWithItsBoundaryComesFromGeoJson(): void
    {
        $this->signIn('marta');
        $polygon = '{"type": "Feature", "properties": {"is": "place", "name": "Weir island", "altitude_m": 545}, "geometry": {"type": "Polygon", "coordinates": [[[15.30, 47.10], [15.31, 47.10], [15.31, 47.11], [15.30, 47.10]]]}}';
        self::assertTrue($this->send('trees', $polygon, run: true)['done']);
        $places = array_column((array) self::at($this->call('GET', '/api/map/trees'), 'places'), 'boundary', 'name');
        self::assertCount(3, (array) $places['Weir island']);
        self::assertSame(1, $this->send('trees', $polygon)['same']);
    }

    public function testWhatWasExaminedElsewhereIsReadAndOpensNoGate(): void
    {
        $this->signIn('marta');
        $id = self::ID.'1';
        $examinations = "id,tag,examiner,date,flora,claim_taxon,claim_part,signed_at\r\n$id,M-13,Jonas Brandauer,2027-06-12,central-european-hills,sambucus-nigra,flower,2027-06-12T10:00:00+02:00\r\n";
        self::assertTrue($this->send('examinations', $examinations, run: true)['done']);
        $scores = "id,examination,character,answer,states,numbers,samples,recorded_at\r\n";
        $n = 0;
        foreach (Starter::ELDER_AS_SHIPPED as $character => [$value, $samples]) {
            $scores .= self::ID.'0'; // replaced below
            $scores = substr($scores, 0, -1).dechex(++$n % 16).substr('', 0);
            $scores .= ",$id,$character,seen,".(\is_string($value) ? $value : '').','.(\is_string($value) ? '' : implode(' ', $value)).",$samples,2027-06-12T09:".\sprintf('%02d', $n).":00+02:00\r\n";
        }
        $scores = preg_replace_callback('/^'.preg_quote(self::ID, '/').'[0-9a-f]{2}(?=,)/m', static function () use (&$k): string {
            static $k = 0;

            return \sprintf('0197a1b2-0000-7000-8000-0000000001%02x', ++$k);
        }, $scores);
        $done = $this->send('scores', (string) $scores, run: true);
        self::assertTrue($done['done'], (string) json_encode($done));
        $this->signIn('jonas');
        $examination = $this->call('GET', '/api/examinations/'.$id);
        self::assertSame('withheld', self::at($examination, 'assessment.clearance.answer'));
        $this->call('PATCH', '/api/examinations/'.$id, ['conditions' => ['in-full-bloom' => true]]);
        self::assertSame('withheld', self::at($this->call('GET', '/api/examinations/'.$id), 'assessment.clearance.answer'));
        self::assertProblem(409, 'The gate is not open', $this->call('POST', '/api/examinations/'.$id.'/harvests', ['amount' => 3, 'unit' => 'heads']));
    }

    public function testADocumentGoesOutAndComesInAsAnotherExamination(): void
    {
        $this->signIn('marta');
        $known = $this->call('GET', '/api/specimens/'.$this->tree('M-03').'/known?all=1');
        $this->client->request('GET', '/api/examinations/'.self::text($known, 'decisions.0.examination').'/document');
        self::assertResponseStatusCodeSame(200);
        $document = (string) $this->client->getResponse()->getContent();
        $tree = $this->tree('M-13');
        $done = $this->send('examination', $document, run: true, query: '&tree='.$tree);
        self::assertTrue($done['done'], (string) json_encode($done));
        self::assertSame(1, $this->send('examination', $document, run: true, query: '&tree='.$tree)['same']);
        self::assertNotSame([], self::at($this->call('GET', '/api/specimens/'.$tree.'/known?all=1'), 'known'));
    }

    /** @return iterable<string, array{string, string, int, string, string}> what, file, line, column, reason */
    public static function bad(): iterable
    {
        yield from self::badGpx();
        yield from self::badGeoJson();
        yield from self::badCsv();
        yield from self::badDarwinCore();
        yield from self::badExaminations();
        yield from self::badScores();
        yield from self::badHarvests();
        yield from self::badDocuments();
    }

    #[DataProvider('bad')]
    public function testABadFileIsRefusedWholeSayingWhere(string $what, string $file, int $line, string $column, string $reason): void
    {
        $this->signIn('marta');
        $before = self::at($this->call('GET', '/api/specimens'), 'total');
        $plan = $this->send($what, $file, run: true, query: 'examination' === $what ? '&tree='.$this->tree('M-13') : '');
        self::assertFalse($plan['done']);
        self::assertGreaterThan(0, $plan['refused']);
        self::assertStringContainsString($reason, self::text($plan, 'faults.0.reason'), (string) json_encode($plan['faults']));
        self::assertSame([$line, $column], [self::at($plan, 'faults.0.line'), self::at($plan, 'faults.0.column')], self::text($plan, 'faults.0.reason'));
        self::assertSame($before, self::at($this->call('GET', '/api/specimens'), 'total'));
    }

    public function testABaseMapIsTakenWholeOrNotAtAll(): void
    {
        $this->signIn('marta');
        $before = $this->call('GET', '/api/map/base');
        $n = 0;
        foreach ([...self::badGeoJson(), ...self::badGpx()] as $name => [, $file]) {
            if (!str_contains($name, 'tag') && !str_contains($name, 'name') && !str_contains($name, 'place') && !str_contains($name, 'ele') && '' !== trim($file) && !str_contains($name, 'tree') && !str_contains($name, 'waypoint')) {
                self::assertProblem(422, 'Line ', $this->post('/api/map/base', $file));
                ++$n;
            }
        }
        self::assertGreaterThan(19, $n);
        self::assertSame($before, $this->call('GET', '/api/map/base'));
        $track = \sprintf(self::GPX, '<trk><trkseg><trkpt lat="47.1" lon="15.3"/><trkpt lat="47.2" lon="15.3"/></trkseg></trk>');
        self::assertSame(['lines' => 1, 'areas' => 0, 'points' => 0], $this->post('/api/map/base', $track));
        self::assertCount(1, (array) self::at($this->call('GET', '/api/map/base'), 'features'));
        $this->post('/api/map/base', '');
        self::assertSame($before, $this->call('GET', '/api/map/base'), 'the valley again');
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badGpx(): iterable
    {
        $wpt = static fn (string $at, string $in = '<name>N-01</name>'): string => \sprintf(self::GPX, "\n<wpt $at>$in</wpt>");
        $at = 'lat="47.12" lon="15.31"';
        yield 'gpx: cut short' => ['trees', substr($wpt($at), 0, -8), 2, '44', 'no XML'];
        yield 'gpx: another root' => ['trees', '<kml xmlns="http://www.opengis.net/kml/2.2"/>', 1, '', 'no GPX 1.1'];
        yield 'gpx: version 1.0' => ['trees', str_replace('GPX/1/1', 'GPX/1/0', $wpt($at)), 1, '', 'no GPX 1.1'];
        yield 'gpx: no name space' => ['trees', '<gpx version="1.1"/>', 1, '', 'no GPX 1.1'];
        yield 'gpx: a document type' => ['trees', '<!DOCTYPE gpx [<!ENTITY x "y">]>'.$wpt($at), 1, '', 'A document type'];
        yield 'gpx: an entity nobody declared' => ['trees', $wpt($at, '<name>&nosuch;</name>'), 2, '50', 'no XML'];
        foreach (['91', '-91', 'north', '', '1e3', '47,12', ' ', '47.12N', 'NaN'] as $lat) {
            yield "gpx: latitude $lat" => ['trees', $wpt("lat=\"$lat\" lon=\"15.31\""), 2, 'lat', 'must be degrees from -90 to 90'];
        }
        foreach (['181', '-180.1', 'east', '15°'] as $lon) {
            yield "gpx: longitude $lon" => ['trees', $wpt("lat=\"47.1\" lon=\"$lon\""), 2, 'lon', 'must be degrees from -180 to 180'];
        }
        yield 'gpx: no latitude' => ['trees', $wpt('lon="15.31"'), 2, 'lat', 'must be degrees'];
        yield 'gpx: no name' => ['trees', $wpt($at, ''), 2, 'name', 'has no name'];
        yield 'gpx: a blank name' => ['trees', $wpt($at, '<name> </name>'), 2, 'name', 'has no name'];
        yield 'gpx: a height that is none (ele)' => ['trees', $wpt($at, '<ele>high</ele><name>N-01</name>'), 2, 'ele', 'must be a number'];
        yield 'gpx: a tag too long' => ['trees', $wpt($at, '<name>'.str_repeat('N', 25).'</name>'), 2, 'name', 'too long'];
        yield 'gpx: the same tag twice' => ['trees', \sprintf(self::GPX, "<wpt $at><name>N-01</name></wpt>\n<wpt $at><name>N-01</name></wpt>"), 2, 'name', 'stands twice in the file, first in line 1'];
        yield 'gpx: a tree far from every place' => ['trees', $wpt('lat="10" lon="10"'), 2, 'place', 'Nothing says at which place N-01 stands'];
        yield 'gpx: a former tag' => ['trees', $wpt($at, '<name>L-04</name>'), 2, 'name', 'had the tag L-04 before'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badGeoJson(): iterable
    {
        $f = static fn (string $geometry, string $properties = '{"tag": "N-01"}'): string => "{\"type\": \"FeatureCollection\", \"features\": [\n{\"type\": \"Feature\", \"geometry\": $geometry, \"properties\": $properties}]}";
        $point = '{"type": "Point", "coordinates": [15.31, 47.12]}';
        $geometry = '34';
        yield 'geojson: cut short' => ['trees', '{"type": "FeatureCollection", "features": [', 1, '44', 'the file ends too early'];
        yield 'geojson: a comma too many' => ['trees', "{\"type\": \"FeatureCollection\",\n \"features\": [],}", 2, '17', 'a text in double quotes must stand here'];
        yield 'geojson: a key twice' => ['trees', '{"type": "Feature", "type": "Feature"}', 1, '21', 'stands twice'];
        yield 'geojson: a list' => ['trees', '[]', 1, '1', 'holds a Feature'];
        yield 'geojson: a bare geometry' => ['trees', $point, 1, '10', 'holds a Feature'];
        yield 'geojson: no features' => ['trees', '{"type": "FeatureCollection"}', 1, '1', 'holds a list "features"'];
        yield 'geojson: another system' => ['trees', '{"type": "FeatureCollection", "crs": {}, "features": []}', 1, '38', 'one reference system'];
        yield 'geojson: no feature in it' => ['trees', '{"type": "FeatureCollection", "features": [7]}', 1, '44', 'must be a Feature'];
        yield 'geojson: no geometry' => ['trees', $f('null'), 2, $geometry, 'has no geometry'];
        yield 'geojson: a geometry collection' => ['trees', $f('{"type": "GeometryCollection", "geometries": []}'), 2, '43', 'cannot be taken'];
        yield 'geojson: properties a list' => ['trees', $f($point, '[1]'), 2, '98', 'must be an object'];
        yield 'geojson: no coordinates' => ['trees', $f('{"type": "Point"}'), 2, $geometry, 'has no coordinates'];
        foreach (['["15", "47"]' => 'a list of numbers', '[15]' => 'a list of numbers', '[]' => 'a list of numbers', '[[15, 47]]' => 'a list of numbers', '[47.12, 215]' => 'no place on the Earth', '[15.31, 147.12]' => 'the longitude comes first'] as $at => $why) {
            yield "geojson: position $at" => ['trees', $f('{"type": "Point", "coordinates": '.$at.'}'), 2, '67', $why];
        }
        yield 'geojson: a line of one' => ['trees', $f('{"type": "LineString", "coordinates": [[15, 47]]}'), 2, '72', 'At least 2'];
        yield 'geojson: an open ring' => ['trees', $f('{"type": "Polygon", "coordinates": [[[15, 47], [16, 47], [16, 48], [15, 48]]]}'), 2, '70', 'does not close'];
        yield 'geojson: a short ring' => ['trees', $f('{"type": "Polygon", "coordinates": [[[15, 47], [16, 47], [15, 47]]]}'), 2, '70', 'at least four'];
        yield 'geojson: a tree that is a line' => ['trees', $f('{"type": "LineString", "coordinates": [[15, 47], [15, 48]]}'), 2, 'geometry', 'A tree is a Point'];
        yield 'geojson: no tag' => ['trees', $f($point, '{}'), 2, 'tag', 'has no tag'];
        yield 'geojson: a place unknown' => ['trees', $f($point, '{"tag": "N-01", "place": "Nowhere"}'), 2, 'place', 'No place is called "Nowhere"'];
        yield 'geojson: a new place without altitude' => ['trees', $f($point, '{"is": "place", "name": "Elsewhere"}'), 2, 'altitude_m', 'must say its altitude'];
        yield 'geojson: an uncertainty in words, tag' => ['trees', $f($point, '{"tag": "N-01", "uncertainty_m": "good"}'), 2, 'uncertainty_m', 'A number must stand here'];
        yield 'geojson: a stage nobody knows, tag' => ['trees', $f($point, '{"tag": "N-01", "stage": "huge"}'), 2, 'stage', 'is no stage'];
        yield 'geojson: a sex nobody knows, tag' => ['trees', $f($point, '{"tag": "N-01", "sex": "yes"}'), 2, 'sex', 'is no sex'];
        yield 'geojson: a tree that moved away, tag' => ['trees', $f($point, '{"tag": "L-01", "place": "Mill meadow"}'), 2, 'place', 'a tree does not move'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badCsv(): iterable
    {
        $row = static fn (string $fields, string $heading = 'tag,place,latitude,longitude'): string => "$heading\r\n$fields\r\n";
        yield 'csv: empty' => ['trees', '', 0, '', 'The file is empty'];
        yield 'csv: blanks' => ['trees', " \r\n ", 0, '', 'The file is empty'];
        yield 'csv: no tag column' => ['trees', $row('x', 'name'), 1, 'tag', 'The column "tag" is missing'];
        yield 'csv: a strange column' => ['trees', $row('N-01,x', 'tag,colour'), 1, 'colour', 'No column "colour" is known here'];
        yield 'csv: a column twice' => ['trees', $row('N-01,x', 'tag,tag'), 1, 'tag', 'stands twice'];
        yield 'csv: semicolons' => ['trees', $row('N-01;Mill meadow', 'tag;place'), 1, '', 'semicolons'];
        yield 'csv: not UTF-8' => ['trees', $row("N\xE4,Mill meadow,47.1,15.3"), 1, '', 'not UTF-8'];
        yield 'csv: too few fields' => ['trees', $row('N-01,Mill meadow'), 2, '', 'has 2 fields; the heading has 4'];
        yield 'csv: too many fields' => ['trees', $row('N-01,Mill meadow,47.1,15.3,x'), 2, '', 'has 5 fields'];
        yield 'csv: an open quote' => ['trees', $row('"N-01,Mill meadow,47.1,15.3'), 2, '1', 'A quote is not closed'];
        yield 'csv: a quote in the middle' => ['trees', $row('N-"01",Mill meadow,47.1,15.3'), 2, '1', 'A quote stands in the middle'];
        yield 'csv: something behind a quote' => ['trees', $row('"N-01"x,Mill meadow,47.1,15.3'), 2, '1', 'A quote is not closed'];
        foreach (['47,1' => null, 'north' => 'latitude', '47.1°' => 'latitude', '1e2' => 'latitude'] as $latitude => $column) {
            if (null !== $column) {
                yield "csv: latitude $latitude" => ['trees', $row("N-01,Mill meadow,$latitude,15.3"), 2, $column, 'is no number'];
            }
        }
        yield 'csv: latitude 95' => ['trees', $row('N-01,Mill meadow,95,15.3'), 2, 'latitude', 'between -90 and 90'];
        yield 'csv: half a position' => ['trees', $row('N-01,Mill meadow,47.1,'), 2, 'longitude', 'two numbers, or none'];
        yield 'csv: no tag in it' => ['trees', $row(',Mill meadow,47.1,15.3'), 2, 'tag', 'Give the tree a tag'];
        yield 'csv: a tag of signs' => ['trees', $row('---,Mill meadow,47.1,15.3'), 2, 'tag', 'Give the tree a tag'];
        yield 'csv: an invisible sign' => ['trees', $row("N\u{200B}1,Mill meadow,47.1,15.3"), 2, 'tag', 'cannot be seen'];
        yield 'csv: a place nobody knows' => ['trees', $row('N-01,Nowhere,47.1,15.3'), 2, 'place', 'No place is called'];
        yield 'csv: the same tag twice' => ['trees', $row("N-01,Mill meadow,47.1,15.3\r\nN-01,Mill meadow,47.1,15.3"), 3, 'tag', 'stands twice'];
        yield 'csv: the second line is bad' => ['trees', $row("N-01,Mill meadow,47.1,15.3\r\nN-02,Nowhere,47.1,15.3"), 3, 'place', 'No place is called'];
        yield 'csv: a quoted break counts its lines' => ['trees', $row("N-01,\"Mill\r\nmeadow\",47.1,15.3\r\nN-02,Mill meadow,x,15.3"), 4, 'latitude', 'is no number'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badDarwinCore(): iterable
    {
        $meta = static fn (string $core = 'rowType="http://rs.tdwg.org/dwc/terms/Occurrence" fieldsTerminatedBy="\t" linesTerminatedBy="\n" fieldsEnclosedBy="" ignoreHeaderLines="1"', string $fields = '<field index="1" term="http://rs.tdwg.org/dwc/terms/catalogNumber"/><field index="2" term="http://rs.tdwg.org/dwc/terms/decimalLatitude"/><field index="3" term="http://rs.tdwg.org/dwc/terms/decimalLongitude"/><field index="4" term="http://rs.tdwg.org/dwc/terms/locality"/>'): string => "<archive xmlns=\"http://rs.tdwg.org/dwc/text/\"><core $core><files><location>o.txt</location></files><id index=\"0\"/>$fields</core></archive>";
        $rows = static fn (string ...$lines): string => "id\ttag\tlat\tlon\tplace\n".implode("\n", $lines)."\n";
        $zip = static function (array $files): string {
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
        };
        $good = "1\tN-01\t47.12\t15.31\tMill meadow";
        $archive = static fn (string $meta, string $rows): string => $zip(['meta.xml' => $meta, 'o.txt' => $rows]);
        yield 'dwca: no zip' => ['trees', "PK\x03\x04 and nothing", 0, '', 'no whole zip archive'];
        yield 'dwca: cut short' => ['trees', substr($archive($meta(), $rows($good)), 0, 200), 0, '', 'no whole zip archive'];
        yield 'dwca: no meta.xml' => ['trees', $zip(['o.txt' => $rows($good)]), 0, 'meta.xml', 'has no meta.xml'];
        yield 'dwca: no core file' => ['trees', $zip(['meta.xml' => $meta()]), 0, 'o.txt', 'has no o.txt'];
        yield 'dwca: meta.xml is none' => ['trees', $archive('no XML', $rows($good)), 1, 'meta.xml', 'names no core'];
        yield 'dwca: meta.xml empty' => ['trees', $archive('', $rows($good)), 1, 'meta.xml', 'names no core'];
        yield 'dwca: a document type' => ['trees', $archive('<!DOCTYPE x>'.$meta(), $rows($good)), 1, 'meta.xml', 'A document type'];
        yield 'dwca: taxa' => ['trees', $archive($meta('rowType="http://rs.tdwg.org/dwc/terms/Taxon"'), $rows($good)), 1, 'meta.xml', 'holds no occurrences'];
        yield 'dwca: another encoding' => ['trees', $archive($meta('rowType="http://rs.tdwg.org/dwc/terms/Occurrence" encoding="ISO-8859-1"'), $rows($good)), 1, 'meta.xml', 'not UTF-8'];
        yield 'dwca: no fields' => ['trees', $archive($meta(fields: ''), $rows($good)), 1, 'meta.xml', 'names no file, or no field'];
        yield 'dwca: parted by two signs' => ['trees', $archive($meta('rowType="http://rs.tdwg.org/dwc/terms/Occurrence" fieldsTerminatedBy="||"'), $rows($good)), 0, 'meta.xml', 'parted by one sign'];
        yield 'dwca: a field too few' => ['trees', $archive($meta(), $rows("1\tN-01\t47.12")), 2, 'decimalLongitude', 'looks for decimalLongitude in field 4'];
        yield 'dwca: no tag' => ['trees', $archive($meta(), $rows("1\t\t47.12\t15.31\tMill meadow")), 2, 'catalogNumber', 'no tag could be given'];
        yield 'dwca: a latitude in words' => ['trees', $archive($meta(), $rows("1\tN-01\tnorth\t15.31\tMill meadow")), 2, 'decimalLatitude', 'is no number'];
        yield 'dwca: a latitude too high' => ['trees', $archive($meta(), $rows("1\tN-01\t97\t15.31\tMill meadow")), 2, 'decimalLatitude', 'between -90 and 90'];
        yield 'dwca: half a position' => ['trees', $archive($meta(), $rows("1\tN-01\t47.12\t\tMill meadow")), 2, 'decimalLongitude', 'two numbers'];
        yield 'dwca: a place nobody knows' => ['trees', $archive($meta(), $rows("1\tN-01\t47.12\t15.31\tNowhere")), 2, 'locality', 'No place is called'];
        yield 'dwca: not UTF-8' => ['trees', $archive($meta(), $rows("1\tN\xE4\t47.12\t15.31\tMill meadow")), 1, '', 'not UTF-8'];
        yield 'dwca: a tag too long' => ['trees', $archive($meta(), $rows("1\t".str_repeat('N', 30)."\t47.12\t15.31\tMill meadow")), 2, 'catalogNumber', 'too long'];
        yield 'dwca: the second is bad' => ['trees', $archive($meta(), $rows($good, "2\tN-02\tx\t15.31\tMill meadow")), 3, 'decimalLatitude', 'is no number'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badExaminations(): iterable
    {
        $good = ['id' => self::ID.'1', 'tag' => 'M-13', 'examiner' => 'Jonas Brandauer', 'date' => '2027-06-12', 'stage' => 'mature', 'flora' => 'central-european-hills', 'claim_taxon' => '', 'claim_part' => '', 'signed_at' => '2027-06-12T10:00:00+02:00'];
        $file = static fn (array $change): string => implode(',', array_keys($good))."\r\n".implode(',', $change + $good)."\r\n";
        $with = static function (string $column, string $value) use ($good, $file): string {
            return $file(array_replace($good, [$column => $value]));
        };
        foreach (
            [
                ['id', 'x', 'is no id'],
                ['id', '', 'is no id'],
                ['tag', 'M-99', 'No tree has the tag'],
                ['tag', '', 'No tree has the tag'],
                ['examiner', 'Nobody', 'Nobody here is called'],
                ['examiner', '', 'Nobody here is called'],
                ['date', '12.6.2027', 'no day'],
                ['date', '2027-02-30', 'no day'],
                ['date', '2027-06-15', 'still to come'],
                ['date', '', 'no day'],
                ['stage', 'huge', 'is not known here'],
                ['flora', 'nowhere', 'is no shipped flora'],
                ['flora', '../flora', 'is no shipped flora'],
                ['signed_at', '', 'is no moment'],
                ['signed_at', '2027-06-12', 'is no moment'],
                ['signed_at', '2027-06-12 10:00', 'is no moment'],
                ['claim_taxon', 'taxus-baccata', 'knows no part'],
                ['claim_part', 'flower', 'knows no part'],
            ] as $i => [$column, $value, $why]
        ) {
            yield "examinations $i: $column $value" => ['examinations', $with($column, $value), 2, str_starts_with($column, 'claim') ? 'claim_taxon' : $column, $why];
        }
        yield 'examinations: twice' => ['examinations', $file($good).implode(',', $good)."\r\n", 3, 'id', 'stands twice'];
        yield 'examinations: a column missing' => ['examinations', "id,tag\r\n", 1, 'examiner', 'is missing'];
        yield 'examinations: a strange column' => ['examinations', str_replace('stage', 'state', $file($good)), 1, 'state', 'No column'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badScores(): iterable
    {
        $good = ['id' => self::ID.'1', 'examination' => self::ID.'2', 'character' => 'leaf.kind', 'answer' => 'seen', 'states' => 'simple', 'numbers' => '', 'certainty' => 'sure', 'samples' => '2', 'where' => 'tree', 'position' => '', 'recorded_at' => '2027-06-12T10:00:00+02:00', 'taken_back_at' => ''];
        $file = static fn (array $row): string => implode(',', array_keys($good))."\r\n".implode(',', $row)."\r\n";
        yield 'scores: no such examination' => ['scores', $file($good), 2, 'examination', 'bring the examinations in first'];
        foreach (['id' => ['x', '', '7'], 'examination' => ['x', '', 'M-13']] as $column => $values) {
            foreach ($values as $value) {
                yield "scores: $column \"$value\"" => ['scores', $file(array_replace($good, [$column => $value])), 2, $column, 'is no id'];
            }
        }
        yield 'scores: empty' => ['scores', '', 1, '', 'empty'];
        yield 'scores: heading alone is nothing wrong, a column missing is' => ['scores', "id,examination\r\n", 1, 'character', 'is missing'];
        yield 'scores: a strange column' => ['scores', str_replace('certainty', 'surety', $file($good)), 1, 'surety', 'No column'];
        yield 'scores: too few fields' => ['scores', implode(',', array_keys($good))."\r\nx,y\r\n", 2, '', 'has 2 fields'];
        yield 'scores: semicolons' => ['scores', str_replace(',', ';', $file($good)), 1, '', 'semicolons'];
        yield 'scores: not UTF-8' => ['scores', $file(array_replace($good, ['states' => "\xE4"])), 1, '', 'not UTF-8'];
        yield 'scores: an open quote' => ['scores', implode(',', array_keys($good))."\r\n\"x\r\n", 2, '1', 'not closed'];
        foreach (['a' => "\r\n", 'b' => "\n", 'c' => "\r"] as $name => $end) {
            yield "scores: line end $name, second line bad" => ['scores', implode(',', array_keys($good)).$end.implode(',', $good).$end.implode(',', array_replace($good, ['id' => 'x'])).$end, 2, 'examination', 'bring the examinations in first'];
        }
        yield 'scores: twice' => ['scores', $file($good).implode(',', $good)."\r\n", 2, 'examination', 'bring the examinations in first'];
        yield 'scores: a column twice' => ['scores', str_replace('position', 'where', $file($good)), 1, 'where', 'stands twice'];
        yield 'scores: blanks' => ['scores', " \r\n", 1, '', 'empty'];
        yield 'scores: a JSON' => ['scores', '{"a": 1}', 1, 'id', 'is missing'];
        yield 'scores: an XML' => ['scores', '<a/>', 1, 'id', 'is missing'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badHarvests(): iterable
    {
        $good = ['id' => self::ID.'1', 'examination' => self::ID.'2', 'taken_on' => '2027-06-12', 'taken_by' => 'Marta Ellinger', 'taxon' => 'sambucus-nigra', 'part' => 'flower', 'amount' => '3', 'unit' => 'heads'];
        $file = static fn (array $row): string => implode(',', array_keys($good))."\r\n".implode(',', $row)."\r\n";
        foreach (
            [
                ['id', 'x', 'is no id'],
                ['id', '', 'is no id'],
                ['examination', 'x', 'is no id'],
                ['examination', '', 'is no id'],
                ['taken_on', 'yesterday', 'no day'],
                ['taken_on', '2027-06-31', 'no day'],
                ['taken_on', '2027-07-01', 'still to come'],
                ['unit', 'bucket', 'is not known here'],
                ['unit', '', 'in which unit'],
                ['amount', '0', 'must be a number'],
                ['amount', '-1', 'must be a number'],
                ['amount', '3 kg', 'must be a number'],
                ['amount', '1e9', 'must be a number'],
                ['amount', '', 'must be a number'],
                ['taken_by', 'Nobody', 'Nobody here is called'],
                ['taken_by', '', 'Nobody here is called'],
                ['part', 'flower', 'There is no such examination'],
            ] as $i => [$column, $value, $why]
        ) {
            yield "harvests $i: $column $value" => ['harvests', $file(array_replace($good, [$column => $value])), 2, 'part' === $column ? 'examination' : $column, $why];
        }
        yield 'harvests: a column missing' => ['harvests', "id,examination\r\n", 1, 'taken_on', 'is missing'];
        yield 'harvests: a strange column' => ['harvests', str_replace('unit', 'size', $file($good)), 1, 'unit', 'is missing'];
        yield 'harvests: empty' => ['harvests', '', 1, '', 'empty'];
    }

    /** @return iterable<string, array{string, string, int, string, string}> */
    private static function badDocuments(): iterable
    {
        $file = static fn (string $observations, string $more = ''): string => "{\"date\": \"2027-06-12\", \"examiner\": \"instructor\",\n\"observations\": [$observations]$more}";
        yield 'document: cut short' => ['examination', '{"date": ', 1, '10', 'the file ends too early'];
        yield 'document: a list' => ['examination', '[]', 1, '1', ''];
        yield 'document: no date' => ['examination', '{"examiner": "instructor", "observations": []}', 1, '1', 'date'];
        yield 'document: no examiner' => ['examination', '{"date": "2027-06-12", "observations": []}', 1, '1', 'examiner'];
        yield 'document: no observations' => ['examination', '{"date": "2027-06-12", "examiner": "learner"}', 1, '1', 'observations'];
        yield 'document: a day that is none' => ['examination', '{"date": "2027-02-30", "examiner": "learner", "observations": []}', 1, '10', 'date'];
        yield 'document: a day to come' => ['examination', '{"date": "2028-02-01", "examiner": "learner", "observations": []}', 1, '10', 'still to come'];
        yield 'document: a guest' => ['examination', '{"date": "2027-06-12", "examiner": "guest", "observations": []}', 1, '36', 'not known here'];
        yield 'document: a key nobody knows' => ['examination', $file('', ', "colour": 1'), 2, '29', 'colour'];
        yield 'document: another flora' => ['examination', $file('', ', "flora": "../x"'), 2, '28', 'is no shipped flora'];
        yield 'document: a character nobody knows' => ['examination', $file('{"character": "leaf.shine", "states": ["x"]}'), 2, '18', 'leaf.shine'];
        yield 'document: a state nobody knows' => ['examination', $file('{"character": "leaf.kind", "states": ["x"]}'), 2, '18', 'x'];
        yield 'document: neither states nor numbers' => ['examination', $file('{"character": "leaf.kind"}'), 2, '18', 'Choose at least one state'];
        yield 'document: numbers for states' => ['examination', $file('{"character": "leaf.kind", "numbers": [1]}'), 2, '54', 'takes states'];
        yield 'document: half a count' => ['examination', $file('{"character": "leaf.leaflet-count", "numbers": [5.5]}'), 2, '64', 'whole numbers only'];
        yield 'document: too many samples' => ['examination', $file('{"character": "leaf.kind", "states": ["simple"], "samples": 900}'), 2, '77', '200'];
        yield 'document: how sure nobody knows' => ['examination', $file('{"character": "leaf.kind", "states": ["simple"], "certainty": "very"}'), 2, '79', 'not known here'];
        yield 'document: a moment that is none' => ['examination', $file('{"character": "leaf.kind", "states": ["simple"], "at": "noon"}'), 2, '72', 'is no moment'];
        yield 'document: a claim of nothing' => ['examination', $file('', ', "claim": {"taxon": "sambucus-nigra", "part": "roots"}'), 2, '28', 'roots'];
        yield 'document: a place off the Earth' => ['examination', $file('', ', "place": {"latitude": 97, "longitude": 15, "altitude_m": 500}'), 2, '41', 'latitude'];
        yield 'document: permission said twice' => ['examination', $file('', ', "permission": true, "terms": {}'), 2, '', 'say it once'];
    }

    private function fetch(string $file): string
    {
        ob_start();
        $this->client->request('GET', '/api/export/'.$file);
        $echoed = (string) ob_get_clean();
        self::assertResponseStatusCodeSame(200);
        $sent = (string) $this->client->getInternalResponse()->getContent();

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
        $this->client->request('POST', $path, server: ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ORIGIN' => 'http://localhost', 'HTTP_X_CSRF_TOKEN' => 'csrf-token'], content: $file);
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

<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Account\UserRepository;
use Symfony\Component\Uid\Uuid;

/** Walks, pastures, the round after a storm, a day's hazards, what was swallowed, signs of illness. */
final class GroundApiTest extends ApiTestCase
{
    private const FIELD = [[15.3200, 47.1300], [15.3230, 47.1300], [15.3230, 47.1320], [15.3200, 47.1320]];

    public function testTreesInsideAndWithinFallingReachAreHeldAgainstTheAnimalsThere(): void
    {
        $this->signIn('marta');
        $lane = $this->pasture('Lane pasture');
        $trees = array_column((array) $lane['trees'], null, 'label');
        self::assertSame(
            ['within-reach', 'serious', 'cherries and plums'],
            self::of($trees, 'Cherry hedge along the lane', 'zone', 'peril', 'kind'),
        );
        self::assertSame(['inside', 'mild', 'measured'], self::of($trees, 'M-01', 'zone', 'peril', 'heightFrom'));
        self::assertSame(['inside', 'harmless'], self::of($trees, 'M-07', 'zone', 'peril'));
        self::assertSame('Cherry hedge along the lane', self::at($lane, 'trees.0.label'), 'the worst first');
        self::assertSame('fence', self::at($trees, 'Cherry hedge along the lane.choice.choice'));
        self::assertNotSame([], self::at($trees, 'Cherry hedge along the lane.now'), 'June: leaves are out');
        $january = $this->pasture('Lane pasture', '?day=2027-01-15');
        $bare = array_column((array) $january['trees'], null, 'label');
        self::assertSame([], self::at($bare, 'Cherry hedge along the lane.now'));
        $weir = array_column((array) $this->pasture('Weir pasture')['trees'], null, 'label');
        self::assertSame(['unknown', ''], self::of($weir, 'Thicket behind the pond', 'peril', 'kind'));
        self::assertTrue(self::at($weir, 'Thicket behind the pond.anyOfIt'));
        self::assertSame('unknown', self::at($weir, 'Thicket behind the pond.heightFrom'));
    }

    public function testAPastureIsEnteredChangedBroughtInAndGivenUp(): void
    {
        $this->signIn('marta');
        $id = Uuid::v4()->toRfc4122();
        $input = [
            'name' => 'Far field',
            'siteId' => $this->site('Mill meadow'),
            'corners' => self::FIELD,
            'animal' => 'horses',
            'number' => 3,
            'grams' => 500_000,
            'grazed' => [['from' => '11-01', 'to' => '02-28']],
        ];
        $this->call('PUT', '/api/pastures/'.$id, $input);
        self::assertFalse($this->pasture('Far field')['isGrazed'], 'not in June');
        $this->call('PUT', '/api/pastures/'.$id, ['number' => 5] + $input);
        self::assertSame(5, $this->pasture('Far field')['number']);
        foreach (
            [
                ['corners' => [[15.32, 47.13], [15.33, 47.14], [15.33, 47.13], [15.32, 47.14]]],
                ['corners' => [[15.32, 47.13], [15.33, 47.14]]],
                ['grazed' => [['from' => '02-30', 'to' => '05-01']]],
                ['gate' => [15.3, 95]],
                ['number' => 0],
                ['siteId' => 'nowhere'],
            ] as $bad
        ) {
            $this->call('PUT', '/api/pastures/'.Uuid::v4()->toRfc4122(), $bad + $input);
            self::assertResponseStatusCodeSame(422, (string) json_encode($bad));
        }
        $file = $this->raw('GET', '/api/pastures.geojson');
        $this->call('DELETE', '/api/pastures/'.$id);
        $names = array_column((array) $this->call('GET', '/api/pastures')['pastures'], 'name');
        self::assertNotContains('Far field', $names);
        $this->raw('POST', '/api/pastures/import?site='.$this->site('Mill meadow'), $file);
        self::assertResponseIsSuccessful();
        $back = $this->pasture('Far field');
        self::assertSame([5, 'horses', 500_000], [$back['number'], $back['animal'], $back['grams']]);
        self::assertSame([['from' => '11-01', 'to' => '02-28']], $back['grazed']);
        $before = \count((array) $this->call('GET', '/api/pastures')['pastures']);
        $wrong = $this->raw(
            'POST',
            '/api/pastures/import?site='.$this->site('Mill meadow'),
            str_replace('"animal": "horses"', '"animal": "unicorns"', $file),
        );
        self::assertResponseStatusCodeSame(422);
        self::assertMatchesRegularExpression('/Line \d+: A pasture needs .{1,3}animal/', $wrong);
        self::assertCount($before, (array) $this->call('GET', '/api/pastures')['pastures'], 'all or none');
    }

    public function testAGustRaisesARoundThatEndsOnlyWhenSomebodySaysHow(): void
    {
        $this->signIn('tobias');
        $body = [
            'id' => Uuid::v4()->toRfc4122(),
            'siteId' => $this->site('Mill meadow'),
            'blewAt' => '2027-06-13',
            'gust' => 26.4,
        ];
        $walk = $this->call('POST', '/api/storms', $body);
        self::assertSame($walk['id'], $this->call('POST', '/api/storms', $body)['id'], 'sent twice, raised once');
        self::assertCount(2, (array) $this->call('GET', '/api/storms')['walks']);
        $stops = array_column((array) $walk['stops'], null, 'label');
        self::assertSame(\count($stops), $walk['left']);
        self::assertArrayHasKey('M-09', $stops, 'a hollow was seen there on the walk: it may break');
        $bands = array_map(
            static fn (mixed $s): int => match (\is_array($s) ? $s['peril'] ?? null : null) {
                null => 2,
                'harmless', 'no-record' => 1,
                default => 0,
            },
            (array) $walk['stops'],
        );
        $sorted = $bands;
        sort($sorted);
        self::assertSame($sorted, $bands, 'what can poison first');
        $hedge = self::at($stops, 'Cherry hedge along the lane.id');
        self::assertIsString($hedge);
        $put = fn (string $finding, ?float $thickness = null): array => $this->call(
            'PUT',
            '/api/storms/stops/'.$hedge,
            ['finding' => $finding, 'thickness' => $thickness, 'secondsAgo' => 600],
        );
        $found = $put('top-out', 120);
        self::assertSame(1, $found['alarms']);
        $alarm = self::at(array_column((array) $found['stops'], null, 'label'), 'Cherry hedge along the lane.alarm');
        self::assertIsArray($alarm);
        self::assertSame(['serious', 'cattle', 6], [$alarm['peril'], $alarm['animal'], $alarm['number']]);
        self::assertGreaterThan(24, $alarm['hours'], 'only the day was known: wilting may have begun with it');
        self::assertEqualsWithDelta(600, self::at($alarm, 'reach.0.from'), 0.001);
        self::assertSame([2, 6], [self::at($alarm, 'reach.0.few'), self::at($alarm, 'reach.0.many')]);
        self::assertCount(1, (array) $alarm['reach'], 'what two kinds of a group say alike is said once');
        self::assertProblem(422, 'cleared away or the animals were moved', $put('sound'));
        $moved = $this->call('PUT', '/api/storms/stops/'.$hedge.'/end', ['how' => 'animals-moved']);
        self::assertSame(0, $moved['alarms']);
        self::assertSame(1, $this->call('DELETE', '/api/storms/stops/'.$hedge.'/end')['alarms'], 'pressed by mistake');
        $this->call('PUT', '/api/storms/stops/'.$hedge.'/end', ['how' => 'cleared-away']);
        self::assertSame(1, $put('uprooted')['alarms'], 'something else lies there now');
        $sound = self::at($stops, 'M-07.id');
        self::assertIsString($sound);
        $this->call('PUT', '/api/storms/stops/'.$sound.'/end', ['how' => 'cleared-away']);
        self::assertResponseStatusCodeSame(422, 'nothing was found there');
        $harmless = $this->call('PUT', '/api/storms/stops/'.$sound, ['finding' => 'limb-down', 'thickness' => 40]);
        self::assertSame(1, $harmless['alarms'], 'hazel is eaten without harm');
        self::assertTrue(self::at(array_column((array) $harmless['stops'], null, 'label'), 'M-07.wantsArborist'));
        $history = $this->call('GET', '/api/specimens/'.$this->tree('M-07').'/storms');
        self::assertSame(['limb-down', 'sound'], array_column($history, 'finding'));
    }

    public function testWhatTheStationSaysOfTheNightHasARoundLaidInTheMorning(): void
    {
        $this->signIn('marta');
        self::assertSame([], $this->call('GET', '/api/storms')['waiting']);
        $this->call('PUT', '/api/demo/day', ['day' => '2027-07-02']);
        $gale = self::at($this->call('GET', '/api/storms'), 'waiting.0');
        self::assertIsArray($gale);
        self::assertSame(['Mill meadow', '2027-07-01', 24.3], [$gale['site'], $gale['day'], $gale['gust']]);
        self::assertGreaterThan(8, $gale['trees']);
        self::assertGreaterThan(600, $gale['seconds']);
        $walk = $this->call('POST', '/api/storms', [
            'id' => Uuid::v4()->toRfc4122(),
            'siteId' => $gale['siteId'],
            'blewAt' => $gale['day'],
            'gust' => $gale['gust'],
        ]);
        self::assertIsInt($gale['trees']);
        self::assertCount($gale['trees'], (array) $walk['stops']);
        self::assertSame($gale['seconds'], $walk['seconds']);
        self::assertSame([], $this->call('GET', '/api/storms')['waiting'], 'somebody goes round');
        $this->call('PUT', '/api/demo/day', ['day' => '2027-06-14']);
    }

    public function testNoRoundIsLaidForWhatIsToComeOrWhereNothingStands(): void
    {
        $this->signIn('marta');
        $id = static fn (): string => Uuid::v4()->toRfc4122();
        $mill = $this->site('Mill meadow');
        $this->call('POST', '/api/storms', ['id' => $id(), 'siteId' => $mill, 'blewAt' => '2027-07-01']);
        self::assertResponseStatusCodeSame(422);
        $this->call('POST', '/api/storms', ['id' => $id(), 'siteId' => $mill, 'blewAt' => '2027-06-31']);
        self::assertResponseStatusCodeSame(422);
        $empty = $this->call(
            'POST',
            '/api/sites',
            ['name' => 'Bare hill', 'latitude' => 47.3, 'longitude' => 15.3, 'altitude' => 900],
        );
        $bare = self::text((array) $empty['site'], 'id');
        $nothing = $this->call('POST', '/api/storms', ['id' => $id(), 'siteId' => $bare]);
        self::assertProblem(422, 'Nothing is to be gone to there', $nothing);
    }

    public function testAWalkGivesThreeSheetsAndSaysItsGaps(): void
    {
        $this->signIn('tobias');
        $id = Uuid::v4()->toRfc4122();
        $walk = $this->call('POST', '/api/surveys', ['id' => $id, 'siteId' => $this->site('Mill meadow')]);
        $all = \count((array) $walk['trees']);
        self::assertSame($all, $walk['left']);
        $look = fn (string $tag, ?string $of = null, ?string $gap = null, ?array $marks = null): array => $this->call(
            'PUT',
            "/api/surveys/$id/looks",
            ['tree' => $this->tree($tag), 'of' => $of ?? '', 'gap' => $gap, 'marks' => $marks ?? []],
        );
        $look('M-04', marks: ['leans', 'thorny']);
        $look('M-11', gap: 'bark-only');
        $look('M-13', of: 'oaks');
        $walk = $look('M-06', marks: ['coppice-due', 'poles']);
        self::assertSame([$all - 4, 1], [$walk['left'], $walk['open']]);
        $trees = array_column((array) $walk['trees'], null, 'label');
        self::assertSame(['open', 'bark-only'], self::of($trees, 'M-11', 'settled', 'gap'));
        self::assertSame(['group', 'oaks'], self::of($trees, 'M-13', 'settled', 'kind'));
        self::assertSame(['examined', 'black locust'], self::of($trees, 'M-04', 'settled', 'kind'));
        $on = static fn (string $tag): array => array_column((array) self::at($trees, $tag.'.reasons'), 'sheet');
        self::assertContains('materials', $on('M-06'));
        self::assertNotContains('materials', $on('M-13'), 'a group is no leave to take');
        self::assertContains('invasive', array_column((array) self::at($trees, 'M-04.reasons'), 'what'));
        $stand = Uuid::v4()->toRfc4122();
        $limes = ['label' => 'Row of limes', 'of' => 'limes'];
        $this->call('PUT', "/api/surveys/$id/stands/$stand", $limes + ['count' => 'few']);
        $walk = $this->call('PUT', "/api/surveys/$id/stands/$stand", $limes + ['count' => 'some']);
        self::assertSame('some', self::at(array_column((array) $walk['trees'], null, 'label'), 'Row of limes.count'));
        foreach ([['of' => 'triffid'], ['marks' => ['shaky']], ['tree' => $this->tree('L-01')]] as $bad) {
            $this->call('PUT', "/api/surveys/$id/looks", $bad + ['tree' => $this->tree('M-05')]);
            self::assertResponseStatusCodeSame(422, (string) json_encode($bad));
        }
        $csv = $this->raw('GET', "/api/surveys/$id.csv");
        self::assertStringContainsString('group,,', $csv);
        self::assertStringContainsString('deadly toxic (bark, leaves, seeds) to horses', $csv);
        $features = json_decode($this->raw('GET', "/api/surveys/$id.geojson"), true);
        self::assertIsArray($features);
        self::assertIsArray($features['features']);
        self::assertCount($all + 1, $features['features']);
        $shapes = array_column(array_column($features['features'], 'geometry'), 'type');
        self::assertContains('LineString', $shapes);
        $this->call('POST', "/api/surveys/$id/close");
        $look('M-05');
        self::assertResponseStatusCodeSame(409, 'a walk that is over takes nothing in');
        $this->call('POST', '/api/surveys', ['id' => $id, 'siteId' => $this->site('Sunny bank')]);
        self::assertResponseStatusCodeSame(409);
    }

    public function testADaysSheetLetsHandsOnlyAtWhatHarmsNobody(): void
    {
        $this->signIn('marta');
        $site = $this->site('Mill meadow');
        $sheet = $this->call('GET', "/api/hazards/day?site=$site&day=2027-10-02&allergies=nuts,stings");
        self::assertSame('0199 555 40 40', $sheet['poisonCentre']);
        self::assertContains('falling-nuts', (array) $sheet['cautions']);
        $trees = array_column((array) $sheet['trees'], null, 'label');
        self::assertTrue(self::at($trees, 'M-03.mayTouch'));
        foreach (['M-01', 'M-04', 'M-09', 'M-11', 'Cherry hedge along the lane'] as $label) {
            self::assertFalse(self::at($trees, $label.'.mayTouch'), $label);
        }
        self::assertSame(['nuts'], self::at($trees, 'M-07.allergies'));
        self::assertSame(['nuts', 'stings'], self::at($trees, 'M-11.allergies'), 'it may be any tree');
        self::assertStringNotContainsString('tobias', (string) json_encode($sheet), 'no names');
        foreach (['allergies=cats', 'day=2027-13-01', 'site=nowhere'] as $bad) {
            $this->call('GET', "/api/hazards/day?site=$site&$bad");
            self::assertResponseStatusCodeSame(422, $bad);
        }
    }

    public function testWhatStoodNearWhenSomethingWasSwallowed(): void
    {
        $this->signIn('ida');
        $near = $this->call('GET', '/api/hazards/swallowed?latitude=47.1206&longitude=15.3104');
        $known = array_column((array) $near['trees'], null, 'tag');
        self::assertSame('black elder', self::at($known, 'M-01.kind'));
        self::assertLessThan(20, self::at($known, 'M-01.metres'));
        self::assertNotSame([], self::at($known, 'M-01.hazards'));
        self::assertArrayNotHasKey('M-04', $known, 'farther than two hundred metres');
        foreach ((array) $near['unsettled'] as $tree) {
            self::assertIsArray($tree);
            self::assertSame(['', []], [$tree['kind'], $tree['hazards']]);
        }
        $this->call('GET', '/api/hazards/swallowed?latitude=47.1');
        self::assertResponseStatusCodeSame(422);
        $site = $this->call('GET', '/api/hazards/swallowed?site='.$this->site('Upper Leiten wood'));
        self::assertSame('deadly', self::at($site, 'trees.0.danger'));
    }

    public function testInNeedTheKindOfACoveredTreeIsToldAndWhoAskedIsNoSecondPersonAnyMore(): void
    {
        $this->signIn('marta');
        $held = array_column((array) $this->call('GET', '/api/specimens?q=L-')['trees'], 'kind', 'tag');
        $this->signIn('jonas');
        $site = '?site='.$this->site('Upper Leiten wood');
        $waiting = self::tags($this->call('GET', '/api/today')['waiting']);
        $unsettled = self::tags($this->call('GET', '/api/hazards/swallowed'.$site)['unsettled']);
        $covered = array_intersect($waiting, $unsettled);
        self::assertNotSame([], $covered, 'a tree he is to look at unbiased is told without its kind');
        $all = $this->call('POST', '/api/hazards/swallowed/all'.$site);
        $told = array_column((array) $all['trees'], 'kind', 'tag');
        foreach ($covered as $tag) {
            self::assertSame($held[$tag] ?? '', $told[$tag] ?? '');
        }
        $user = self::getContainer()->get(UserRepository::class)->find($this->person('jonas'));
        self::assertNotNull($user?->exportedAt, 'he is no second person for what was looked at until now');
    }

    public function testASignIsToldTakenBackAndGoesWithItsTree(): void
    {
        $this->signIn('tobias');
        $tree = '/api/specimens/'.$this->tree('M-10').'/health';
        $all = $this->call('GET', $tree);
        self::assertGreaterThan(20, \count((array) $all['known']), 'its kind is open: anything is looked for');
        $id = Uuid::v4()->toRfc4122();
        $told = $this->call('POST', $tree, ['id' => $id, 'sign' => 'longhorn', 'note' => 'Two holes.']);
        $this->call('POST', $tree, ['id' => $id, 'sign' => 'longhorn']);
        self::assertCount(1, (array) $told['seen']);
        self::assertStringContainsString('in the EU', self::text($told, 'seen.0.sign.notifiable'));
        $this->call('POST', $tree, ['id' => Uuid::v4()->toRfc4122(), 'sign' => 'the-blues']);
        self::assertResponseStatusCodeSame(422);
        $this->client->request(
            'POST',
            '/api/pictures?sign='.$id,
            server: ['HTTP_X_CSRF_TOKEN' => 'csrf-token', 'CONTENT_TYPE' => 'image/jpeg'],
            content: (string) file_get_contents(\dirname(__DIR__, 2).'/demo/camera/leaf-on-squares.jpg'),
        );
        self::assertResponseIsSuccessful();
        $pictures = $this->call('GET', '/api/specimens/'.$this->tree('M-10').'/pictures');
        self::assertContains($id, array_column($pictures, 'sign'), 'it stands with its tree too');
        $this->signIn('ida');
        $this->call('DELETE', $tree.'/'.$id);
        self::assertResponseStatusCodeSame(403);
        $this->signIn('marta');
        self::assertSame([], $this->call('DELETE', $tree.'/'.$id)['seen']);
        $this->call('POST', '/api/pictures?sign='.$id, []);
        self::assertResponseStatusCodeSame(422, 'of what was taken back no picture is added');
    }

    public function testSpreadingKeepingAndLivingWithIt(): void
    {
        $this->signIn('marta');
        $locust = $this->call('GET', '/api/flora/taxa/robinia-pseudoacacia/care');
        self::assertContains('roots', (array) $locust['ways']);
        self::assertNotSame([], $locust['living']);
        $pine = $this->call('GET', '/api/flora/taxa/pinus-cembra/care');
        self::assertContains('Mill meadow', (array) $pine['outside']);
        $this->call('GET', '/api/flora/taxa/triffid/care');
        self::assertResponseStatusCodeSame(404);
        $this->client->request('GET', '/api/export/rare.zip');
        self::assertResponseIsSuccessful();
        $file = (string) tempnam(sys_get_temp_dir(), 'rare');
        file_put_contents($file, $this->client->getInternalResponse()->getContent());
        $zip = new \ZipArchive();
        $zip->open($file);
        $rows = explode("\n", trim((string) $zip->getFromName('occurrence.txt')));
        $zip->close();
        unlink($file);
        self::assertGreaterThan(1, \count($rows));
        foreach (\array_slice($rows, 1) as $row) {
            self::assertMatchesRegularExpression('/Taxus baccata|Malus sylvestris|Sorbus|Ulmus|Fraxinus|Pyrus/', $row);
        }
    }

    /** @return list<string> */
    private static function tags(mixed $trees): array
    {
        return array_values(array_filter(array_column((array) $trees, 'tag'), \is_string(...)));
    }

    /** @return array<mixed> */
    private function pasture(string $name, string $query = ''): array
    {
        $all = array_column((array) $this->call('GET', '/api/pastures'.$query)['pastures'], null, 'name');

        return \is_array($all[$name] ?? null) ? $all[$name] : self::fail('There is no '.$name);
    }

    private function raw(string $method, string $path, string $body = ''): string
    {
        $this->client->request(
            $method,
            $path,
            server: [
                'CONTENT_TYPE' => 'application/geo+json',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: $body,
        );

        return (string) $this->client->getResponse()->getContent();
    }

    /**
     * @param array<mixed> $rows
     *
     * @return list<mixed>
     */
    private static function of(array $rows, string $label, string ...$keys): array
    {
        $row = $rows[$label] ?? self::fail('There is no '.$label);
        self::assertIsArray($row);

        return array_map(static fn (string $key): mixed => $row[$key] ?? null, array_values($keys));
    }
}

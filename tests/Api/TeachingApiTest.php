<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Library\ActivityTable;
use Symfony\Component\Uid\Uuid;

/** Days with a group, and one tree for a whole year. */
final class TeachingApiTest extends ApiTestCase
{
    private const PAST = '/api/groups/b2c1f0de-3f27-4d8e-9c53-000000000000';

    public function testEveryActivityHasAnAimStepsAndACaution(): void
    {
        $table = self::getContainer()->get(ActivityTable::class);
        self::assertInstanceOf(ActivityTable::class, $table);
        self::assertGreaterThanOrEqual(6, \count($table->all()));
        foreach ($table->all() as $id => $activity) {
            self::assertSame($id, $activity->id);
            self::assertGreaterThanOrEqual(3, \count($activity->how), $id);
            self::assertGreaterThan(20, \strlen($activity->caution), $id);
        }
    }

    public function testAPlaceOffersWhatItsTreesShowAndSaysWhatMustNotBeTouched(): void
    {
        $this->signIn('marta');
        $site = $this->site('Mill meadow');
        $people = implode(',', array_map($this->person(...), ['ida', 'tobias', 'senna']));
        $offer = $this->call('GET', "/api/groups/offer?site=$site&day=2027-06-05&people=$people");
        $trees = array_column(self::rows($offer, 'trees'), null, 'tag');
        self::assertTrue($trees['M-07']['mayTouch'] ?? false, 'a hazel harms nobody');
        self::assertFalse($trees['M-05']['mayTouch'] ?? true, 'a laburnum, or what nobody has settled');
        self::assertContains('M-05', (array) $offer['handsOff']);
        $june = array_column((array) ($trees['M-07']['looks'] ?? []), 'character');
        self::assertNotSame([], $june);
        self::assertSame([], preg_grep('/^wood\./', $june), 'nothing that has to be cut');
        $winter = $this->call('GET', "/api/groups/offer?site=$site&day=2027-01-20");
        $january = array_column(
            (array) (array_column(self::rows($winter, 'trees'), null, 'tag')['M-07']['looks'] ?? []),
            'character',
        );
        self::assertSame([], preg_grep('/^leaf\.(margin|base|kind)$/', $january), 'no leaf hangs there');
        $this->call('GET', "/api/groups/offer?site=$site&day=2027-02-30");
        self::assertResponseStatusCodeSame(422);
    }

    public function testADayIsPlannedMarkedAndKept(): void
    {
        $this->signIn('marta');
        $id = Uuid::v4()->toRfc4122();
        $station = Uuid::v4()->toRfc4122();
        $plan = [
            'day' => '2027-06-19',
            'siteId' => $this->site('Mill meadow'),
            'name' => 'Two schools',
            'people' => [$this->person('ida')],
            'guests' => 2,
            'stations' => [
                ['id' => $station, 'tree' => $this->tree('M-07'), 'character' => 'leaf.margin'],
                ['id' => Uuid::v4()->toRfc4122(), 'activity' => 'bud-hunt'],
            ],
        ];
        $day = $this->call('PUT', "/api/groups/$id", $plan);
        self::assertSame(['Ida Lenz', 'guest 1', 'guest 2'], array_column(self::rows($day, 'people'), 'name'));
        self::assertSame('Edge', ucfirst(self::text($day, 'stations.0.label')));
        foreach ([
            ['character' => 'leaf.margin', 'activity' => 'bud-hunt'],
            [],
            ['character' => 'leaf.moonlight'],
            ['activity' => 'juggling'],
        ] as $bad) {
            $this->call(
                'PUT',
                "/api/groups/$id",
                ['stations' => [['id' => Uuid::v4()->toRfc4122()] + $bad]] + $plan,
            );
            self::assertResponseStatusCodeSame(422);
        }
        $this->signIn('ida');
        [$ida, $tobias] = [$this->person('ida'), $this->person('tobias')];
        foreach ([$ida => 200, 'guest-2' => 200, 'guest-3' => 422, $tobias => 422] as $who => $code) {
            $this->call('PUT', "/api/groups/$id/results", ['station' => $station, 'who' => $who, 'found' => true]);
            self::assertResponseStatusCodeSame($code);
        }
        $marked = $this->call('GET', "/api/groups/$id");
        self::assertCount(2, (array) self::at($marked, 'stations.0.results'));
        $back = $this->call('PUT', "/api/groups/$id/results", ['station' => $station, 'who' => 'guest-2']);
        self::assertCount(1, (array) self::at($back, 'stations.0.results'));
        $this->signIn('tobias');
        $this->call('PUT', "/api/groups/$id/results", ['station' => $station, 'who' => 'guest-1', 'found' => true]);
        self::assertResponseStatusCodeSame(403, 'he was not there');
        $this->signIn('marta');
        $next = [['who' => $this->person('ida'), 'character' => 'leaf.teeth']];
        $after = $this->call('PUT', "/api/groups/$id/after", ['learnt' => 'Edges.', 'next' => $next]);
        self::assertSame('Ida Lenz', self::at($after, 'next.0.name'));
        $this->call('DELETE', "/api/groups/$id");
        $this->call('GET', "/api/groups/$id");
        self::assertResponseStatusCodeSame(404);
    }

    public function testWhatSomebodyConfusesIsToldToHimAndToInstructorsOnly(): void
    {
        $of = function (string $reader): array {
            $this->signIn($reader);

            return array_column(self::rows($this->call('GET', self::PAST), 'people'), 'confuses', 'name');
        };
        self::assertNotSame([], $of('marta')['Tobias Rauth'] ?? []);
        $ida = $of('ida');
        self::assertSame([], $ida['Tobias Rauth'] ?? null);
        self::assertNotSame([], $ida['Ida Lenz'] ?? []);
        $asked = array_column(self::rows($this->call('GET', self::PAST), 'next'), 'name');
        self::assertSame(['Ida Lenz'], $asked, 'what others are to be asked is not for her');
    }

    public function testOneTreeForAYearAsksForWhatNobodyHasLookedAtAndKeepsAnAlbum(): void
    {
        $this->signIn('ida');
        $own = self::rows($this->call('GET', '/api/adopted'), 'trees');
        self::assertSame(['M-07'], array_column($own, 'tag'));
        self::assertSame(
            ['2027-01', '2027-02', '2027-04', '2027-05'],
            array_column(
                array_filter(
                    self::rows($own[0], 'months'),
                    static fn (array $m): bool => [] !== $m['notes'],
                ),
                'month',
            ),
        );
        $wanted = array_column(self::rows($own[0], 'wanted'), 'character');
        self::assertNotContains('leaf.arrangement', $wanted, 'that was looked at');
        $address = $this->begin('M-07');
        $this->call('POST', "$address/scores", ['character' => $wanted[0], 'answer' => 'nothing-there']);
        $this->call('POST', "$address/scores", ['character' => 'leaf.base', 'states' => ['heart']]);
        self::assertResponseIsSuccessful();
        $then = self::rows($this->call('GET', '/api/adopted'), 'trees')[0];
        self::assertNotContains('leaf.base', array_column(self::rows($then, 'wanted'), 'character'));
        $id = self::text($then, 'id');
        $this->call('PUT', "/api/adopted/$id/note", ['text' => 'Nuts as large as peas.']);
        $noted = $this->call('PUT', "/api/adopted/$id/note", ['text' => 'Nuts as large as peas, green.']);
        self::assertSame('Nuts as large as peas, green.', self::at($noted, 'trees.0.today'), 'a day has one note');
        $this->call('POST', '/api/adopted', ['id' => Uuid::v4()->toRfc4122(), 'tree' => $this->tree('M-07')]);
        self::assertResponseStatusCodeSame(409);
        $this->signIn('tobias');
        self::assertSame([], $this->call('GET', '/api/adopted')['trees'], 'of others nothing');
        $this->call('DELETE', "/api/adopted/$id");
        self::assertResponseStatusCodeSame(404);
        $this->signIn('ida');
        self::assertSame('2027-06-14', self::at($this->call('DELETE', "/api/adopted/$id"), 'trees.0.endedOn'));
    }

    /**
     * @param array<mixed> $of
     *
     * @return list<array<mixed>>
     */
    private static function rows(array $of, string $key): array
    {
        return array_values(array_filter(\is_array($of[$key] ?? null) ? $of[$key] : [], is_array(...)));
    }
}

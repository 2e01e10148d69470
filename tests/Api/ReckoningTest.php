<?php

declare(strict_types=1);

namespace App\Tests\Api;

/**
 * What people reckon in the head, asked over the API; whether it is right is tested in
 * tests/Reference/ProcessingTest.php.
 */
final class ReckoningTest extends ApiTestCase
{
    public function testFiguresComeUnderTheirNames(): void
    {
        $this->signIn('vera');
        $of = fn (string $asked): array => array_column(
            (array) $this->call('GET', '/api/reckoning/'.$asked)['figures'],
            'most',
            'name',
        );
        self::assertEqualsWithDelta(6666.7, $of('drying?grams=10000&now=40&then=10')['grams'], 0.1);
        self::assertEqualsWithDelta(12.0, $of('air?celsius=21.1&humidity=65')['dry-percent'], 0.1);
        self::assertSame(
            4,
            $of('leaching?meal=1000&water=4000')['changes'],
            '(1.2/5.2)^4 is less than one in a hundred',
        );
        self::assertEqualsWithDelta(1230.8, $of('preserve?fruit=1000&sugar=700')['grams'], 0.1);
        self::assertEqualsWithDelta(12.1, $of('cord?grams=60&millimetres=3')['metres'], 0.1);
        $wood = $of('firewood?stacked=3.6246&density=720&water=20&perDay=100');
        self::assertEqualsWithDelta(1.0, $wood['cords'], 1e-3);
        self::assertEqualsWithDelta(76, $wood['days'], 6, 'some 2,100 kWh in a stacked cubic metre');
        $priced = $of('firewood?stacked=2&density=720&water=20&price=110');
        self::assertEqualsWithDelta(
            220 / (float) json_encode($priced['kilowatt-hours']),
            $priced['price-of-a-kilowatt-hour'],
            1e-9,
        );
        $leached = $of('leaching?meal=1000&water=4000&group=white');
        self::assertSame([120, 1.5], [$leached['cold-hours'], $leached['hot-hours']]);
        self::assertEqualsWithDelta(1.14, $of('stem?girth=120&height=25')['stem-likely-cubic-metres'], 0.02);
        $worth = $of('log?butt=35.56&top=30.48&length=4.8768&perFoot=2&perStacked=60');
        self::assertGreaterThan(2 * 90, $worth['worth']);
        $log = $of('log?butt=35.56&top=30.48&length=4.8768&class=2');
        self::assertSame([64, 25], [(int) round((float) json_encode($log['doyle-feet'])), $log['years']]);
        self::assertEqualsWithDelta(187.4, $of('board?millimetres=200&green=8.6&now=80&then=8')['millimetres'], 0.1);
    }

    public function testAStackDriesByTheStationOfItsPlace(): void
    {
        $this->signIn('marta');
        $sites = array_column($this->call('GET', '/api/sites'), 'id', 'name');
        $ask = fn (string $site, string $more = ''): array => $this->call(
            'GET',
            '/api/reckoning/stack?thick=100&long=0.33&density=690&since=2027-03-01&site='.
                self::text($sites, $site).
                $more,
        );
        $stack = $ask('Mill meadow');
        self::assertResponseStatusCodeSame(200);
        self::assertSame([true, 105, 6], [$stack['standIn'], $stack['days'], $stack['years']]);
        self::assertLessThan($stack['dampest'], $stack['driest']);
        self::assertLessThan(45, $stack['dampest']);
        self::assertGreaterThan(20, $stack['dampest'], 'not yet');
        self::assertGreaterThan('2027-06-14', $stack['soonest']);
        self::assertLessThanOrEqual($stack['likely'], $stack['soonest']);
        self::assertLessThanOrEqual($stack['latest'], $stack['likely']);
        self::assertNull($ask('Mill meadow', '&dry=6')['soonest'], 'drier than the air it never gets');
        self::assertProblem(409, 'No station', $ask('Upper Leiten wood'));
        self::assertProblem(422, 'stacked today', $ask('Mill meadow', '&since=2027-06-15'));
    }

    public function testTreesAreMeasuredByWhatOneHas(): void
    {
        $this->signIn('vera');
        $of = fn (string $asked): array => array_column(
            (array) $this->call('GET', '/api/measuring/'.$asked)['figures'],
            'most',
            'name',
        );
        self::assertEqualsWithDelta(
            sqrt(120 ** 2 + 85 ** 2) / \M_PI,
            $of('stems?girths=120%2085')['diameter-centimetres'],
            1e-9,
        );
        self::assertEqualsWithDelta(20.0, $of('height/angles?distance=20&top=45&foot=0')['height-metres'], 1e-9);
        self::assertGreaterThan(20.7, $of('height/angles?distance=20&top=45&foot=0')['height-between-metres']);
        $inch = 2.54;
        $foot = 0.3048;
        $tree = static fn (float $g, float $h, float $s, string $of): string => http_build_query([
            '' === $of ? 'girth' : 'otherGirth' => $g * $inch,
            '' === $of ? 'height' : 'otherHeight' => $h * $foot,
            '' === $of ? 'spread' : 'otherSpread' => $s * $foot,
        ]);
        // 441.5 against 440.25 is no lead; against 329.75 it is one
        $close = $of('points?'.$tree(321, 92, 114, '').'&'.$tree(320, 92, 113, 'other'));
        self::assertEqualsWithDelta(441.5, $close['points'], 1e-9);
        self::assertEqualsWithDelta(440.25, $close['other-points'], 1e-9);
        self::assertArrayHasKey('no-lead', $close);
        self::assertArrayHasKey('lead', $of('points?'.$tree(321, 92, 114, '').'&'.$tree(210, 95, 99, 'other')));
        self::assertSame(
            [4, 105, 1.142857],
            array_map(
                static fn (mixed $n): mixed => \is_float($n) ? round($n, 6) : $n,
                array_values($of('twig?pieces=30%20120%2090%20105&growing=1')),
            ),
        );
        foreach (
            [
                'height/angles?distance=20&top=5&foot=10',
                'stems?girths=120%20x',
                'twig?pieces=30&growing=1',
                'rings?rings=60&over=26&radius=25',
                'age?girth=160&low=5&high=4',
            ] as $wrong
        ) {
            $this->call('GET', '/api/measuring/'.$wrong);
            self::assertResponseStatusCodeSame(422, $wrong);
        }
    }

    public function testWhatCannotBeIsRefused(): void
    {
        $this->signIn('vera');
        foreach (
            [
                'drying?grams=0&now=40&then=10',
                'drying?grams=10&now=99&then=10',
                'drying?now=40&then=10',
                'air?celsius=20&humidity=100',
                'leaching?meal=1000&water=0',
                'kernels?grams=1000&opened=10&sound=11&kernel=40',
                'cord?grams=60&millimetres=0.1',
                'firewood?stacked=1&density=20&water=20',
                'log?butt=20&top=30&length=4',
                'board?millimetres=x&green=8.6&now=30&then=8',
            ] as $asked
        ) {
            $this->call('GET', '/api/reckoning/'.$asked);
            self::assertResponseStatusCodeSame(422, $asked);
        }
    }
}

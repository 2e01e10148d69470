<?php

declare(strict_types=1);

namespace App\Tests\Api;

/** What poisons animals, by the flora one works with and by the table of harm seen. */
final class StockApiTest extends ApiTestCase
{
    public function testTheWorstKindsStandFirstAndTheSilentOnesAreNamed(): void
    {
        $this->signIn('vera');
        $all = $this->call('GET', '/api/stock');
        $kinds = array_column((array) $all['kinds'], null, 'taxon');
        self::assertSame('deadly', self::at($all, 'kinds.0.severity'));
        self::assertSame('deadly', self::at($kinds, 'taxus-baccata.hazards.0.severity'));
        self::assertSame('horses', self::at($kinds, 'taxus-baccata.seen.0.animal'));
        self::assertNotContains('people', array_column((array) self::at($kinds, 'taxus-baccata.hazards'), 'who'));
        self::assertSame(
            ['wilted', 0.1, 0.4],
            [
                self::at($kinds, 'prunus-avium.seen.0.state'),
                self::at($kinds, 'prunus-avium.seen.0.least'),
                self::at($kinds, 'prunus-avium.seen.0.most'),
            ],
        );
        self::assertIsArray($all['silent']);
        foreach (array_column($kinds, 'commonName') as $name) {
            self::assertNotContains($name, $all['silent']);
        }
    }

    public function testSixCowsUnderACherry(): void
    {
        $this->signIn('vera');
        $cherry = '/api/stock/reckon?taxon=prunus-avium&animal=';
        $found = $this->call('GET', $cherry.'cattle&number=6&grams=600000&diameter=300');
        self::assertCount(1, (array) $found['reach']);
        self::assertEqualsWithDelta(600, self::at($found, 'reach.0.from'), 0.001);
        self::assertEqualsWithDelta(2400, self::at($found, 'reach.0.to'), 0.001);
        self::assertEqualsWithDelta(20_000, $found['leaf'], 300);
        self::assertSame([6, 6], [self::at($found, 'reach.0.few'), self::at($found, 'reach.0.many')]);
        $none = $this->call('GET', $cherry.'cattle&number=6&grams=600000');
        self::assertNull(self::at($none, 'reach.0.many'), 'nobody said what came down');
        $pigs = $this->call('GET', $cherry.'pigs&number=2&grams=120000&diameter=300');
        self::assertSame([], $pigs['reach'], 'no record, which is no proof');
        foreach (['taxon=prunus-nobody', 'animal=cows', 'number=0', 'grams=5', 'diameter=900', 'grams=1e9'] as $wrong) {
            [$key] = explode('=', $wrong);
            $query = ['taxon' => 'prunus-avium', 'animal' => 'cattle', 'number' => 6, 'grams' => 600_000];
            parse_str($wrong, $bad);
            $this->call('GET', '/api/stock/reckon?'.http_build_query($bad + $query));
            self::assertResponseStatusCodeSame(422, $key);
        }
    }
}

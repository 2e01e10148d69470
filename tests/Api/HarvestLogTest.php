<?php

declare(strict_types=1);

namespace App\Tests\Api;

use App\Tests\Support\Starter;

/** The log of what was taken: with time and counts, corrected with the old line kept, told in groups. */
final class HarvestLogTest extends ApiTestCase
{
    public function testItIsToldByKindWithYieldOfAnHourAndTheShareOfSoundOnes(): void
    {
        $this->signIn('vera');
        self::assertSame(3, $this->told('kind')['sweet chestnut, nuts']['times']);
        $chestnut = $this->told('tree')['M-02: sweet chestnut, nuts'];
        self::assertSame([1, 'kg', 4.5], [$chestnut['times'], $chestnut['unit'], $chestnut['total']]);
        self::assertEqualsWithDelta((4.5 * 60) / 70, $chestnut['perHour'], 0.01);
        self::assertSame(
            [40, 90, 76, 97],
            [$chestnut['opened'], $chestnut['sound'], $chestnut['soundLeast'], $chestnut['soundMost']],
            'Clopper and Pearson of 36 in 40',
        );
        $years = $this->told('kind-year');
        self::assertArrayHasKey('sweet chestnut, nuts, 2026', $years);
        self::assertNull($years['sweet chestnut, nuts, 2026']['otherYears'], 'there is no other');
        self::assertSame(
            [$years['black elder, flowers, 2026']['perHour'], $years['black elder, flowers, 2026']['timed']],
            [$years['black elder, flowers, 2027']['otherYears'], $years['black elder, flowers, 2027']['otherTimed']],
        );
        self::assertArrayHasKey('Jonas Brandauer: sweet chestnut, nuts', $this->told('person'));
        $years = array_column((array) $this->call('GET', '/api/harvests?by=year')['groups'], 'unit', 'key');
        self::assertCount(4, $years, 'heads and kilograms are not added up');
        self::assertSame(
            ['S-11: sweet chestnut, nuts', 'M-02: sweet chestnut, nuts'],
            array_column((array) $this->call('GET', '/api/harvests?by=tree&taxon=castanea-sativa')['groups'], 'label'),
        );
        self::assertSame(
            ['Chestnuts of the lodge', 'Chestnut flour of the terrace tree'],
            array_column($this->call('GET', '/api/batches?taxon=castanea-sativa'), 'name'),
        );
        $this->call('GET', '/api/harvests?by=colour');
        self::assertResponseStatusCodeSame(422);
    }

    public function testACorrectionKeepsTheOldLine(): void
    {
        $this->signIn('marta');
        $before = $this->taken('M-02');
        $taken = [
            'amount' => 4.2,
            'unit' => 'kg',
            'minutes' => 60,
            'opened' => 40,
            'sound' => 35,
            'countBy' => 'cut',
            'shareLeft' => 60,
        ];
        $better = ['taken' => $taken, 'because' => 'The bucket was weighed with it.'];
        $at = '/api/harvests/'.self::text($before, 'id');
        $after = $this->call('PUT', $at, $better);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(['4.2 kg', 60, 35], [$after['amount'], $after['minutes'], $after['sound']]);
        self::assertSame(
            ['4.5 kg', 'The bucket was weighed with it.'],
            [self::at($after, 'corrections.0.amount'), self::at($after, 'corrections.0.because')],
        );
        self::assertSame(4.2, $this->told('tree')['M-02: sweet chestnut, nuts']['total']);
        foreach (
            [
                ['because' => ' '],
                ['taken' => ['amount' => 0] + $taken],
                ['taken' => ['unit' => 'sacks'] + $taken],
                ['taken' => ['sound' => 41] + $taken],
                ['taken' => ['minutes' => 0] + $taken],
                ['taken' => ['shareLeft' => 101] + $taken],
            ] as $wrong
        ) {
            $this->call('PUT', $at, $wrong + $better);
            self::assertResponseStatusCodeSame(422, json_encode($wrong, \JSON_THROW_ON_ERROR));
        }
        $empty = ['taken' => ['shareLeft' => 0] + $taken] + $better;
        self::assertSame('sure', self::at($this->call('PUT', $at, $empty), 'violations.0.propertyPath'));
        $this->signIn('ida');
        self::assertProblem(403, 'corrects it', $this->call('PUT', $at, $better));
        self::assertCount(1, (array) $this->taken('M-02')['corrections'], 'and nothing else was written');
    }

    public function testOfSeveralTreesAllOrNoneAreLogged(): void
    {
        $this->signIn('marta');
        $elder = $this->cleared('M-01', ['claimTaxon' => 'sambucus-nigra', 'claimPart' => 'flower']);
        $site = $this->mill();
        $this->call('PUT', "/api/sites/$site/quotas", ['quotas' => ['sambucus-nigra/flower' => 9]]);
        self::assertResponseIsSuccessful();
        $open = array_column($this->call('GET', '/api/harvests/open'), null, 'tag');
        self::assertSame(
            ['sambucus-nigra/flower', 9, 7],
            [self::at($open, 'M-01.what'), self::at($open, 'M-01.allowed'), self::at($open, 'M-01.used')],
            'of the year, seven of June are on record',
        );
        $other = self::text($open, 'M-04.examination');
        $unsigned = basename($this->begin('M-07', []));
        $round = [
            'unit' => 'heads',
            'minutes' => 25,
            'countBy' => 'look',
            'trees' => [
                ['examination' => $elder, 'amount' => 30, 'opened' => 10, 'sound' => 9],
                ['examination' => $unsigned, 'amount' => 10],
            ],
        ];
        $before = \count((array) $this->call('GET', '/api/harvests')['harvests']);
        self::assertProblem(409, 'Sign the examination', $this->call('POST', '/api/harvests', $round));
        self::assertCount($before, (array) $this->call('GET', '/api/harvests')['harvests'], 'none was stored');
        $round['trees'][1]['examination'] = $other;
        $logged = array_column(
            \array_slice((array) $this->call('POST', '/api/harvests', $round)['harvests'], 0, 2),
            'minutes',
            'specimen',
        );
        self::assertResponseStatusCodeSame(200);
        self::assertSame([25, 19], [array_sum($logged), $logged['M-01']], 'the time goes by what each gave');
        $round['trees'] = [$round['trees'][0], $round['trees'][0]];
        $this->call('POST', '/api/harvests', $round);
        self::assertResponseStatusCodeSame(422);
        $one = ['trees' => [$round['trees'][0]], 'unit' => 'heads'];
        foreach ([['shareLeft' => 5], ['trees' => [['amount' => 300] + $round['trees'][0]]]] as $much) {
            $asked = $this->call('POST', '/api/harvests', $much + $one);
            self::assertResponseStatusCodeSame(422);
            self::assertSame('sure', self::at($asked, 'violations.0.propertyPath'), 'it is asked about first');
        }
        $this->call('POST', '/api/harvests', $one);
        self::assertResponseStatusCodeSame(200);
        self::assertProblem(409, 'not open', $this->call('POST', '/api/harvests', $one));
    }

    public function testALoneTreesEmptyNutsAreToldAsSuch(): void
    {
        $this->signIn('marta');
        $at = '/api/harvests/'.self::text($this->taken('M-02'), 'id');
        $taken = ['amount' => 1, 'unit' => 'kg', 'opened' => 40, 'sound' => 4, 'countBy' => 'float'];
        foreach (
            [[true, 'stands-alone'], [null, 'perhaps-alone'], [false, 'not-for-want-of-another']] as [$lone, $why]
        ) {
            $told = $this->call('PUT', $at, ['taken' => $taken + ['lone' => $lone], 'because' => 'Looked about.']);
            self::assertSame([$why, $lone], [$told['emptyBecause'], $told['lone']]);
        }
        $few = $this->call('PUT', $at, ['taken' => ['opened' => 7, 'sound' => 0] + $taken, 'because' => 'Fewer.']);
        self::assertNull($few['emptyBecause'], 'seven tell nothing');
        $this->call('PUT', '/api/sites/'.$this->mill().'/station', ['station' => 'stand-in']);
        self::assertIsNumeric(
            self::at($this->taken('M-02'), 'weather.greatest'),
            'the station of the place tells of that day',
        );
    }

    public function testBasketsAreWeighedOnceForEverybody(): void
    {
        $this->signIn('ida');
        $before = \count($this->call('GET', '/api/measures'));
        $basket = ['name' => 'my basket of haws', 'amount' => 1.4, 'unit' => 'kg'];
        $this->call('POST', '/api/measures', $basket);
        $again = $this->call('POST', '/api/measures', ['amount' => 1.5] + $basket);
        self::assertCount($before + 1, $again, 'weighed anew, it takes the place of the one before');
        $measures = array_column($again, null, 'name');
        self::assertSame(1.5, self::at($measures, 'my basket of haws.amount'));
        foreach ([['amount' => 0], ['name' => ' '], ['unit' => 'sack']] as $wrong) {
            $this->call('POST', '/api/measures', $wrong + $basket);
            self::assertResponseStatusCodeSame(422);
        }
        $id = self::text($measures, 'my basket of haws.id');
        $this->signIn('tobias');
        self::assertProblem(403, 'instructor', $this->call('DELETE', '/api/measures/'.$id));
        $this->signIn('ida');
        self::assertCount($before, $this->call('DELETE', '/api/measures/'.$id));
    }

    private function mill(): string
    {
        return self::text(array_column($this->call('GET', '/api/sites'), 'id', 'name'), 'Mill meadow');
    }

    /** @param array<string, string> $hope */
    private function cleared(string $tag, array $hope): string
    {
        $address = $this->begin($tag, $hope);
        $this->score($address, Starter::ELDER_AS_SHIPPED);
        $this->call('PATCH', $address, ['conditions' => ['in-full-bloom' => true]]);
        $this->call('POST', $address.'/sign');
        self::assertResponseIsSuccessful();

        return basename($address);
    }

    /** @return array<mixed> */
    private function taken(string $tag): array
    {
        $all = array_column((array) $this->call('GET', '/api/harvests')['harvests'], null, 'specimen');
        self::assertIsArray($all[$tag] ?? null);

        return $all[$tag];
    }

    /** @return array<string, array<mixed>> by what they have in common */
    private function told(string $by): array
    {
        $groups = [];
        foreach ((array) $this->call('GET', '/api/harvests?by='.$by)['groups'] as $group) {
            self::assertIsArray($group);
            $groups[self::text($group, 'label')] = $group;
        }

        return $groups;
    }
}

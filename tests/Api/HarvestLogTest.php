<?php

declare(strict_types=1);

namespace App\Tests\Api;

/** The log of what was taken: with time and counts, corrected with the old line kept, told in groups. */
final class HarvestLogTest extends ApiTestCase
{
    public function testItIsToldByKindWithYieldOfAnHourAndTheShareOfSoundOnes(): void
    {
        $this->signIn('vera');
        $groups = $this->told('kind');
        $chestnut = $groups['sweet chestnut, nuts'];
        self::assertSame([1, 'kg', 4.5], [$chestnut['times'], $chestnut['unit'], $chestnut['total']]);
        self::assertEqualsWithDelta((4.5 * 60) / 70, $chestnut['perHour'], 0.01);
        self::assertSame(
            [40, 90, 76, 97],
            [$chestnut['opened'], $chestnut['sound'], $chestnut['soundLeast'], $chestnut['soundMost']],
            'Clopper and Pearson of 36 in 40',
        );
        self::assertArrayHasKey('M-02: sweet chestnut, nuts', $this->told('tree'));
        self::assertArrayHasKey('sweet chestnut, nuts, 2026', $this->told('kind-year'));
        self::assertArrayHasKey('Jonas Brandauer: sweet chestnut, nuts', $this->told('person'));
        $years = array_column((array) $this->call('GET', '/api/harvests?by=year')['groups'], 'unit', 'key');
        self::assertCount(3, $years, 'heads and kilograms are not added up');
        self::assertSame(
            ['M-02: sweet chestnut, nuts'],
            array_column((array) $this->call('GET', '/api/harvests?by=tree&taxon=castanea-sativa')['groups'], 'label'),
        );
        self::assertSame(
            ['Chestnut flour of the terrace tree'],
            array_column($this->call('GET', '/api/batches?taxon=castanea-sativa'), 'name'),
        );
        $this->call('GET', '/api/harvests?by=colour');
        self::assertResponseStatusCodeSame(422);
    }

    public function testACorrectionKeepsTheOldLine(): void
    {
        $this->signIn('marta');
        $before = $this->taken('M-02');
        $better = [
            'amount' => 4.2,
            'unit' => 'kg',
            'because' => 'The bucket was weighed with it.',
            'minutes' => 60,
            'opened' => 40,
            'sound' => 35,
            'countBy' => 'cut',
            'shareLeft' => 60,
        ];
        $at = '/api/harvests/'.self::text($before, 'id');
        $after = $this->call('PUT', $at, $better);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(['4.2 kg', 60, 35], [$after['amount'], $after['minutes'], $after['sound']]);
        self::assertSame(
            ['4.5 kg', 'The bucket was weighed with it.'],
            [self::at($after, 'corrections.0.amount'), self::at($after, 'corrections.0.because')],
        );
        self::assertSame(4.2, $this->told('kind')['sweet chestnut, nuts']['total']);
        foreach (
            [
                ['amount' => 0],
                ['unit' => 'sacks'],
                ['because' => ' '],
                ['sound' => 41],
                ['minutes' => 0],
                ['shareLeft' => 101],
            ] as $wrong
        ) {
            $this->call('PUT', $at, $wrong + $better);
            self::assertResponseStatusCodeSame(422, json_encode($wrong, \JSON_THROW_ON_ERROR));
        }
        $this->signIn('ida');
        self::assertProblem(403, 'corrects it', $this->call('PUT', $at, $better));
        self::assertCount(1, (array) $this->taken('M-02')['corrections'], 'and nothing else was written');
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

<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Symfony\Component\Uid\Uuid;

/** From a harvest to a jar and back again; and nothing of what is doubted. */
final class BatchApiTest extends ApiTestCase
{
    private const FLOUR = ['recipe' => 'chestnut-flour', 'ways' => ['Flour'], 'name' => 'Flour', 'grams' => 1350];

    public function testStepByStepWithWeightsAndTimersToLabelledJars(): void
    {
        $this->signIn('ida');
        $batch = $this->made(['sources' => [$this->harvest('M-02') => 30]]);
        $at = '/api/batches/'.self::text($batch, 'id');
        self::assertSame(
            ['Float', 'Water-cure', 'Dry', 'Peel', 'Grind'],
            array_map(
                static fn (mixed $s): mixed => \is_array($s) ? self::at($s, 'step.name') : null,
                (array) $batch['steps'],
            ),
        );
        self::assertSame('Castanea sativa', self::at($batch, 'sources.0.latin'));
        $this->call('PUT', $at.'/steps/0', [
            'started' => true,
            'done' => true,
            'gramsIn' => 1350,
            'gramsOut' => 1200,
            'note' => 'Four of forty floated',
        ]);
        $cured = $this->call('PUT', $at.'/steps/1', ['started' => true]);
        self::assertStringStartsWith('2027-06-15', self::text($cured, 'steps.1.dueAt'), 'the water is changed daily');
        self::assertEqualsWithDelta(
            1200 * 0.45,
            self::at($cured, 'steps.2.step.outLeast'),
            0.1,
            'from what was weighed',
        );
        self::assertSame('Water-cure', self::at($this->listed('Flour'), 'next'));
        $sooner = $this->call('PUT', $at.'/steps/1', ['started' => true, 'minutes' => 90]);
        self::assertNotSame(self::at($cured, 'steps.1.dueAt'), self::at($sooner, 'steps.1.dueAt'));
        $tasted = $this->call('POST', $at.'/steps/1/checks', ['answer' => 'not-yet', 'note' => 'Hollow, still firm']);
        self::assertSame('Hollow, still firm', self::at($tasted, 'steps.1.checks.0.note'));
        $ready = ['started' => true, 'done' => true];
        self::assertProblem(409, 'Look again', $this->call('PUT', $at.'/steps/1', $ready));
        $this->call('POST', $at.'/steps/1/checks', ['answer' => 'done']);
        $done = $this->call('PUT', $at.'/steps/1', $ready);
        self::assertNull(self::at($done, 'steps.1.dueAt'));
        // what is to dry is not left out
        self::assertProblem(409, 'not left out', $this->call('PUT', $at.'/steps/2', $ready + ['leftOut' => true]));
        $sorted = $this->call('POST', $at.'/steps', [
            'name' => 'Sort',
            'do' => 'Out with the small ones.',
            'until' => 'All are as thick as a thumb.',
            'waitsHours' => 0.5,
        ]);
        self::assertSame(
            ['Float', 'Water-cure', 'Sort', 'Dry', 'Peel', 'Grind'],
            array_map(static fn (mixed $s): mixed => self::at((array) $s, 'step.name'), (array) $sorted['steps']),
        );
        self::assertTrue(self::at($sorted, 'steps.2.own'));
        $new = ['count' => 2, 'contents' => 'Chestnut flour, 200 g', 'bestBefore' => '2028-02-01'];
        self::assertProblem(409, 'steps are done', $this->call('POST', $at.'/units', $new));
        $this->call('PUT', $at.'/steps/2', $ready + ['leftOut' => true]);
        self::assertResponseStatusCodeSame(409, 'of a step that waits nobody knows that it may be left out');
        foreach ([2, 3, 4, 5] as $place) {
            $this->call('PUT', "$at/steps/$place", $ready);
        }
        self::assertProblem(
            422,
            'until 14 June 2028',
            $this->call('POST', $at.'/units', ['bestBefore' => '2028-07-01'] + $new),
        );
        $jars = $this->call('POST', $at.'/units', $new);
        self::assertSame([1, 2], array_column((array) $jars['units'], 'number'));
        $unit = self::text($jars, 'units.1.id');
        self::assertSame(
            'Mill bakery',
            self::at($this->call('PUT', "/api/units/$unit/given-to", ['givenTo' => 'Mill bakery']), 'units.1.givenTo'),
        );
        $traced = $this->call('GET', '/api/units/'.$unit);
        self::assertSame(
            ['M-02', 'Jonas Brandauer'],
            [self::at($traced, 'sources.0.tag'), self::at($traced, 'sources.0.examiner')],
        );
        $tree = $this->call('GET', '/api/specimens/'.$this->tree('M-02').'/batches');
        self::assertContains('Flour', array_column($tree, 'name'));
        $this->call('POST', $at.'/end', ['note' => 'Warmer.']);
        self::assertProblem(409, 'finished', $this->call('PUT', $at.'/steps/2', ['started' => true]));
    }

    public function testAPotIsPartedAndPutTogetherAndEveryJarLeadsBack(): void
    {
        $this->signIn('marta');
        $chestnuts = $this->harvest('M-02');
        $pot = self::text($this->made(['sources' => [$chestnuts => 30], 'grams' => 1000]), 'id');
        $this->call('PUT', "/api/batches/$pot/steps/0", ['started' => true, 'done' => true, 'gramsOut' => 800]);
        $split = ['id' => Uuid::v4()->toRfc4122(), 'name' => 'Small', 'grams' => 200, 'stay' => 600];
        $small = $this->call('POST', "/api/batches/$pot/split", $split);
        self::assertResponseStatusCodeSame(200);
        self::assertSame(
            [7.5, 250, 200, 25],
            [
                self::at($small, 'sources.0.share'),
                $small['grams'],
                self::at($small, 'steps.0.gramsOut'),
                self::at($small, 'splitFrom.percent'),
            ],
        );
        $again = $this->call('POST', "/api/batches/$pot/split", $split);
        self::assertSame($small['id'], $again['id'], 'sent twice, split once');
        $left = $this->call('GET', '/api/batches/'.$pot);
        self::assertSame([22.5, 600], [self::at($left, 'sources.0.share'), self::at($left, 'steps.0.gramsOut')]);
        $other = self::text($small, 'id');
        $this->call('PUT', "/api/batches/$other/steps/1", ['started' => true, 'done' => true]);
        $join = ['other' => $other];
        self::assertProblem(409, 'different steps', $this->call('POST', "/api/batches/$pot/join", $join));
        $this->call('PUT', "/api/batches/$pot/steps/1", ['started' => true, 'done' => true]);
        $whole = $this->call('POST', "/api/batches/$pot/join", $join);
        self::assertSame([30, 1000], [self::at($whole, 'sources.0.share'), $whole['grams']]);
        self::assertSame('joined', $this->call('GET', '/api/batches/'.$other)['state']);
        $free = array_column($this->call('GET', '/api/batches/harvests'), 'share', 'harvest');
        self::assertArrayNotHasKey($chestnuts, $free, 'nothing is used twice, nor set free');
        // two halves of one pot are called back together
        $part = $this->call('POST', "/api/batches/$pot/split", ['id' => Uuid::v4()->toRfc4122()] + $split);
        $this->call('POST', '/api/recalls', ['what' => 'batch', 'about' => $part['id'], 'because' => 'Mould.']);
        self::assertSame('recalled', $this->call('GET', '/api/batches/'.$pot)['doubt']);
    }

    public function testNoMoreIsUsedThanWasTakenAndOnlyWhatTheRecipeIsMadeOf(): void
    {
        $this->signIn('marta');
        $chestnuts = $this->harvest('M-02');
        $cherries = $this->harvest('M-03');
        $count = \count($this->call('GET', '/api/batches'));
        foreach (
            [
                ['sources' => [$chestnuts => 31]], // seventy of a hundred are flour already
                ['sources' => [$chestnuts => 101]],
                ['sources' => [$chestnuts => 0]],
                ['sources' => []],
                ['sources' => [$cherries => 10]],
                ['sources' => [Uuid::v4()->toRfc4122() => 10]],
                ['sources' => [$chestnuts => 10], 'recipe' => 'no-such-thing'],
                ['sources' => [$chestnuts => 10], 'grams' => 0],
                ['sources' => [$chestnuts => 10], 'name' => ' '],
                ['sources' => [$chestnuts => 10], 'ways' => [null]],
            ] as $wrong
        ) {
            $this->call('POST', '/api/batches', $wrong + self::FLOUR + ['id' => Uuid::v4()->toRfc4122()]);
            self::assertResponseStatusCodeSame(422, json_encode($wrong, \JSON_THROW_ON_ERROR));
        }
        self::assertCount($count, $this->call('GET', '/api/batches'));
        $id = Uuid::v4()->toRfc4122();
        $this->made(['id' => $id, 'sources' => [$chestnuts => 20]]);
        $this->made(['id' => $id, 'sources' => [$chestnuts => 20]]);
        self::assertCount($count + 1, $this->call('GET', '/api/batches'), 'sent twice, begun once');
        $free = array_column($this->call('GET', '/api/batches/harvests'), 'share', 'harvest');
        self::assertSame(10, $free[$chestnuts]);
        $this->call('POST', "/api/batches/$id/end", ['givenUp' => true]);
        $free = array_column($this->call('GET', '/api/batches/harvests'), 'share', 'harvest');
        self::assertSame(30, $free[$chestnuts], 'what came to nothing uses up nothing that is on record');
    }

    public function testWhatIsDoubtedIsNeitherBegunNorLabelled(): void
    {
        $this->signIn('marta');
        $chestnuts = $this->harvest('M-02');
        $batch = $this->made(['sources' => [$chestnuts => 20]]);
        $at = '/api/batches/'.self::text($batch, 'id');
        $this->call('POST', '/api/specimens/'.$this->tree('M-02').'/doubt', ['because' => 'The burs look wrong.']);
        self::assertResponseStatusCodeSame(200);
        self::assertSame('tree-doubted', $this->call('GET', $at)['doubt']);
        self::assertProblem(
            409,
            'doubted',
            $this->call('POST', $at.'/units', ['count' => 1, 'contents' => 'x', 'bestBefore' => '2028-02-01']),
        );
        self::assertProblem(
            409,
            'doubted',
            $this->call(
                'POST',
                '/api/batches',
                ['sources' => [$chestnuts => 5]] + self::FLOUR + ['id' => Uuid::v4()->toRfc4122()],
            ),
        );
    }

    /** @return iterable<string, array{string}> */
    public static function doubted(): iterable
    {
        yield 'a tree' => ['tree'];
        yield 'a decision' => ['decision'];
        yield 'somebody who examined' => ['examiner'];
        yield 'what the flora says' => ['flora-line'];
        yield 'the batch' => ['batch'];
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('doubted')]
    public function testAllItTouchedIsCalledBackAtOnce(string $what): void
    {
        $this->signIn('marta');
        $flour = $this->call(
            'GET',
            '/api/batches/'.self::text($this->listed('Chestnut flour of the terrace tree'), 'id'),
        );
        $jam = self::text($this->listed('Cornelian cherry jam, the first'), 'id');
        $recall = [
            'what' => $what,
            'because' => 'A bur was found that has few spines.',
            'about' => match ($what) {
                'tree' => self::text($flour, 'sources.0.tree'),
                'decision' => self::text($flour, 'sources.0.decision'),
                'examiner' => $this->person('jonas'),
                'flora-line' => 'castanea-sativa/nut',
                default => self::text($flour, 'id'),
            },
        ];
        $this->signIn('ida');
        self::assertProblem(403, '', $this->call('POST', '/api/recalls', $recall));
        $this->signIn('marta');
        self::assertResponseIsSuccessful();
        $recalls = $this->call('POST', '/api/recalls', $recall);
        self::assertResponseStatusCodeSame(200);
        self::assertContains('Mill bakery', array_column((array) self::at($recalls, '0.units'), 'givenTo'));
        $touched = array_column((array) self::at($recalls, '0.batches'), 'name');
        self::assertContains('Chestnut flour of the terrace tree', $touched);
        $after = $this->call('GET', '/api/batches/'.self::text($flour, 'id'));
        self::assertSame('recalled', $after['doubt']);
        foreach ((array) $after['units'] as $unit) {
            self::assertIsArray($unit);
            self::assertNotNull($unit['recalledAt']);
            $this->call('PUT', '/api/units/'.self::text($unit, 'id').'/given-to', ['givenTo' => 'the kitchen']);
            self::assertResponseStatusCodeSame(409);
        }
        $other = $this->call('GET', '/api/batches/'.$jam);
        self::assertSame('examiner' === $what ? 'recalled' : null, $other['doubt'], 'and nothing else is touched');
        self::assertProblem(
            422,
            'nothing of the kind',
            $this->call('POST', '/api/recalls', ['about' => Uuid::v4()->toRfc4122()] + $recall),
        );
    }

    public function testWhatIsToBeLookedAfterStandsOnToday(): void
    {
        $this->signIn('ida');
        $making = array_column((array) $this->call('GET', '/api/today')['making'], null, 'name');
        self::assertContains('Acorns in the loft, second lot', array_keys($making));
        self::assertNotContains('Haw jelly', array_keys($making), 'that is done');
        self::assertFalse(self::at($making, 'Elderflowers drying.isDue'), 'tomorrow');
        self::assertSame(
            ['Steep', true],
            [
                self::at($making, 'Elderflower cordial of June.next'),
                self::at($making, 'Elderflower cordial of June.isDue'),
            ],
        );
    }

    public function testRecipesAreTakenForAWeightAndByAWay(): void
    {
        $this->signIn('vera');
        $hot = $this->call('GET', '/api/recipes/acorn-meal?ways[]=Leach%20hot&grams=1000');
        self::assertContains('Boil', array_column((array) $hot['steps'], 'name'));
        self::assertSame(3000, self::at($hot, 'steps.0.with.0.least'));
        self::assertNull(
            self::at($this->call('GET', '/api/recipes/acorn-meal'), 'steps.0.outLeast'),
            'without a weight',
        );
        self::assertProblem(404, 'no such recipe', $this->call('GET', '/api/recipes/soap'));
        $this->call('GET', '/api/recipes/acorn-meal?grams=-1');
        self::assertResponseStatusCodeSame(422);
        self::assertSame(
            ['chestnut-flour'],
            array_column($this->call('GET', '/api/recipes?taxon=castanea-sativa'), 'id'),
        );
        self::assertArrayHasKey('acorn-meal', $this->call('GET', '/api/recipes.json'));
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return array<mixed>
     */
    private function made(array $more): array
    {
        $batch = $this->call('POST', '/api/batches', $more + self::FLOUR + ['id' => Uuid::v4()->toRfc4122()]);
        self::assertResponseStatusCodeSame(200);

        return $batch;
    }

    private function harvest(string $tag): string
    {
        $id = array_column($this->call('GET', '/api/batches/harvests'), 'harvest', 'tag')[$tag] ?? null;

        return \is_string($id) ? $id : self::fail('Nothing is left of '.$tag);
    }

    /** @return array<mixed> */
    private function listed(string $name): array
    {
        $batch = array_column($this->call('GET', '/api/batches'), null, 'name')[$name] ?? null;
        self::assertIsArray($batch);

        return $batch;
    }
}

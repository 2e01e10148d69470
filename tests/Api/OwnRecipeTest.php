<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Symfony\Component\Uid\Uuid;

/** Recipes of the school's own come in as a document, whole or not at all. */
final class OwnRecipeTest extends ApiTestCase
{
    private const HAWS = [
        'name' => 'Chestnuts as we do them',
        'use' => 'food',
        'of' => ['castanea-sativa/nut'],
        'per' => 'nuts',
        'needs' => ['a knife'],
        'steps' => [
            ['name' => 'Score', 'do' => 'Score each.', 'takes' => '10 min', 'left' => 1, 'until' => 'all are scored'],
            ['name' => 'Roast', 'do' => 'Roast them.', 'takes' => '25 min', 'heat' => 200, 'until' => 'they open'],
        ],
        'keeping' => [['as' => 'roasted nuts', 'for' => '1–2 d', 'where' => 'cold', 'spoils' => 'They smell sour.']],
        'cautions' => ['Unscored ones burst.'],
        'allergens' => ['chestnut'],
        'history' => [],
        'sources' => [['source' => 'own', 'place' => 'the kitchen']],
    ];

    public function testTheyStandBesideThoseThatShip(): void
    {
        $this->signIn('marta');
        $id = 'chestnuts-our-way';
        self::assertSame(['made' => [$id], 'same' => []], $this->bringIn([$id => self::HAWS]));
        self::assertSame(['made' => [], 'same' => [$id]], $this->bringIn([$id => self::HAWS]));
        $listed = array_column($this->call('GET', '/api/recipes?taxon=castanea-sativa'), 'own', 'id');
        self::assertSame([$id => true, 'chestnut-flour' => false], $listed);
        self::assertSame('Marta Ellinger', $this->call('GET', '/api/recipes/'.$id)['by']);
        self::assertArrayHasKey($id, $this->call('GET', '/api/recipes.json'));
        $nuts = array_column($this->call('GET', '/api/batches/harvests'), 'harvest', 'tag')['M-02'];
        self::assertIsString($nuts);
        $batch = $this->call('POST', '/api/batches', [
            'id' => Uuid::v4()->toRfc4122(),
            'name' => 'Roasted',
            'recipe' => $id,
            'ways' => [],
            'sources' => [$nuts => 10],
            'grams' => 400,
        ]);
        $other = ['steps' => [self::HAWS['steps'][1]], 'name' => 'Chestnuts, quicker'] + self::HAWS;
        $other['steps'][0]['left'] = 0.9;
        self::assertSame([$id], $this->bringIn([$id => $other])['made'], 'another edition');
        self::assertCount(1, (array) $this->call('GET', '/api/recipes/'.$id)['steps']);
        $begun = $this->call('GET', '/api/batches/'.self::text($batch, 'id'));
        self::assertCount(2, (array) $begun['steps'], 'what was begun goes on as it was begun');
        $this->call('DELETE', '/api/recipes/own/'.$id);
        self::assertResponseStatusCodeSame(200);
        self::assertProblem(404, 'no such recipe', $this->call('GET', '/api/recipes/'.$id));
    }

    public function testWhatIsNotSoundIsNotTakenAndNothingBesideIt(): void
    {
        $this->signIn('marta');
        foreach (
            [
                'as none' => ['use' => 'medicine'],
                'may be taken' => ['of' => ['taxus-baccata/seed']],
                'neither "takes" nor "waits"' => [
                    'steps' => [['name' => 'Boil', 'do' => 'Boil.', 'left' => 1, 'until' => 'done']],
                ],
                'nothing is weighed' => [
                    'steps' => [['name' => 'Boil', 'do' => 'Boil.', 'takes' => '5 min', 'until' => 'done']],
                ],
                'at least one' => ['cautions' => []],
                'no word for a recipe' => [
                    'history' => [['says' => 'Two cups a day cure gout', 'who' => 'an old book']],
                ],
                'safe to eat' => ['cautions' => ['These are safe to eat.']],
            ] as $said => $wrong
        ) {
            $answer = $this->bringIn(['good-one' => self::HAWS, 'bad-one' => $wrong + self::HAWS]);
            self::assertProblem(422, 'as none' === $said ? 'is none' : $said, $answer);
        }
        self::assertProblem(422, 'ships', $this->bringIn(['acorn-meal' => self::HAWS]));
        self::assertProblem(422, 'file is empty', $this->bringIn([], ' '));
        self::assertResponseStatusCodeSame(422);
        $this->bringIn([], '{"a": [');
        self::assertResponseStatusCodeSame(422);
        self::assertProblem(404, 'no such recipe', $this->call('GET', '/api/recipes/good-one'));
        $this->signIn('ida');
        self::assertProblem(403, 'instructor', $this->bringIn(['good-one' => self::HAWS]));
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return array<mixed>
     */
    private function bringIn(array $document, string $text = ''): array
    {
        $this->client->request(
            'POST',
            '/api/recipes/own',
            server: [
                'CONTENT_TYPE' => 'application/yaml',
                'HTTP_ACCEPT' => 'application/json',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_X_CSRF_TOKEN' => 'csrf-token',
            ],
            content: '' === $text ? json_encode($document, \JSON_THROW_ON_ERROR) : $text,
        );

        return (array) json_decode((string) $this->client->getResponse()->getContent(), true);
    }
}

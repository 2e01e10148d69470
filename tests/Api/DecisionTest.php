<?php

declare(strict_types=1);

namespace App\Tests\Api;

use Doctrine\DBAL\Connection;

/**
 * A decision can be explained later: what was asked, by which edition and engine, and whether anybody touched it since.
 */
final class DecisionTest extends ApiTestCase
{
    public function testEachIsExplainedAndReckonedAgainTheSame(): void
    {
        $this->signIn('marta');
        $answers = [];
        foreach ($this->database()->fetchFirstColumn('SELECT id FROM decision ORDER BY number') as $n => $id) {
            $page = $this->call('GET', '/api/decisions/'.(\is_string($id) ? $id : ''));
            self::assertSame(['', true, $n + 1], [$page['fault'], $page['editionKept'], $page['number']]);
            self::assertSame(
                $page['answer'],
                $page['again'],
                self::text($page, 'tree').': '.self::text($page, 'because'),
            );
            self::assertCount(9, (array) $page['points']);
            self::assertNotSame([], $page['scores']);
            self::assertStringStartsWith('1.0+', self::text($page, 'engine'));
            $answers[] = self::text($page, 'answer');
        }
        self::assertSame(['barred', 'cleared', 'withheld'], array_values(array_unique(self::sorted($answers))));
    }

    public function testWhatWasChangedShowsAndSoDoesALostEdition(): void
    {
        $this->signIn('marta');
        $id = $this->database()->fetchOne('SELECT id FROM decision WHERE number = 2');
        $page = '/api/decisions/'.(\is_string($id) ? $id : '');
        $this->change("UPDATE decision SET answer = 'cleared' WHERE number = 2");
        self::assertStringContainsString('changed after it was taken', self::text($this->call('GET', $page), 'fault'));
        $this->change("UPDATE decision SET answer = 'withheld' WHERE number = 2");
        self::assertSame('', $this->call('GET', $page)['fault']);
        $this->change('UPDATE decision SET number = 9000 WHERE number = 1');
        self::assertStringContainsString('does not follow', self::text($this->call('GET', $page), 'fault'));
        $this->change('DELETE FROM flora_edition');
        $page = $this->call('GET', $page);
        self::assertSame(
            [false, null],
            [$page['editionKept'], $page['again']],
            'nothing is reckoned by another edition',
        );
    }

    private function change(string $sql): void
    {
        self::assertGreaterThan(0, $this->database()->executeStatement($sql));
        self::getContainer()->get('doctrine.orm.entity_manager')->clear();
    }

    private function database(): Connection
    {
        return self::getContainer()->get(Connection::class);
    }

    /**
     * @param list<string> $of
     *
     * @return list<string>
     */
    private static function sorted(array $of): array
    {
        sort($of);

        return $of;
    }
}

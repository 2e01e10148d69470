<?php

declare(strict_types=1);

namespace App\Keeping;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/** Puts a copy into an empty application: all of it, or nothing. */
final readonly class Restoring
{
    /** What says how far the tables are: the application's own stands. */
    private const OWN = ['doctrine_migration_versions'];

    public function __construct(
        private Connection $database,
        private Copies $copies,
        #[Autowire('%kernel.project_dir%')] private string $root,
    ) {
    }

    /**
     * @return array<string, int> rows by table
     *
     * @throws CopyFailed if somebody is in the application already, or the copy is none
     */
    public function restore(string $archive): array
    {
        if (!$this->database->getDatabasePlatform() instanceof SQLitePlatform) {
            throw new CopyFailed('A copy goes into an application on SQLite.');
        }
        if ($this->count('person') > 0) {
            throw new CopyFailed(
                'Somebody is in this application already. A copy goes into an empty one, so that nothing is lost.',
            );
        }
        [$path] = $this->copies->read($archive);
        try {
            $this->upToDate($path);

            return $this->fill($path);
        } finally {
            foreach (['', '-wal', '-shm', '-journal'] as $end) {
                if (is_file($path.$end)) {
                    unlink($path.$end);
                }
            }
        }
    }

    /** Takes an older copy through the steps the database has gone since. */
    private function upToDate(string $path): void
    {
        $php = (new PhpExecutableFinder())->find();
        $process = new Process(
            [
                false === $php ? 'php' : $php,
                'bin/console',
                'doctrine:migrations:migrate',
                '--no-interaction',
                '--quiet',
            ],
            $this->root,
            ['DATABASE_URL' => 'sqlite:///'.$path],
            timeout: 500,
        );
        if (0 !== $process->run()) {
            throw new CopyFailed(
                'The copy is of another version and cannot be brought up to this one: '.
                    trim($process->getErrorOutput()),
            );
        }
    }

    /** @return array<string, int> */
    private function fill(string $path): array
    {
        $this->database->executeStatement('ATTACH DATABASE '.$this->database->quote($path).' AS copy');
        try {
            return $this->database->transactional(function (): array {
                $this->database->executeStatement('PRAGMA defer_foreign_keys = ON');
                $rows = [];
                foreach ($this->tables() as $table) {
                    $name = $this->database->quoteSingleIdentifier($table);
                    $columns = implode(
                        ', ',
                        array_map($this->database->quoteSingleIdentifier(...), $this->columns($table)),
                    );
                    $this->database->executeStatement("DELETE FROM main.$name");
                    $rows[$table] = (int) $this->database->executeStatement(
                        "INSERT INTO main.$name ($columns) SELECT $columns FROM copy.$name",
                    );
                }
                if (false !== $this->database->executeQuery('PRAGMA foreign_key_check')->fetchOne()) {
                    throw new CopyFailed('Something in the copy points to what is not in it.');
                }

                return $rows;
            });
        } finally {
            $this->database->executeStatement('DETACH DATABASE copy');
        }
    }

    /** @return list<string> */
    private function tables(): array
    {
        $tables = $this->database
            ->executeQuery(
                "SELECT name FROM main.sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
            )
            ->fetchFirstColumn();

        return array_values(array_diff(array_filter($tables, is_string(...)), self::OWN));
    }

    /** @return list<string> */
    private function columns(string $table): array
    {
        return array_values(
            array_filter(
                $this->database->executeQuery('SELECT name FROM pragma_table_info(?)', [$table])->fetchFirstColumn(),
                is_string(...),
            ),
        );
    }

    private function count(string $table): int
    {
        $count = $this->database->fetchOne('SELECT COUNT(*) FROM '.$this->database->quoteSingleIdentifier($table));

        return is_numeric($count) ? (int) $count : 0;
    }
}

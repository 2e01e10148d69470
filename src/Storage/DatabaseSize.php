<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseTrouble;
use Doctrine\DBAL\Platforms\SQLitePlatform;
use Doctrine\ORM\EntityManagerInterface;

/** How much the database holds. */
final readonly class DatabaseSize
{
    public function __construct(private Connection $database, private EntityManagerInterface $entities)
    {
    }

    /** @return non-empty-string */
    public function kind(): string
    {
        return $this->isFile() ? 'SQLite' : 'PostgreSQL';
    }

    /**
     * @return int bytes, with what is written ahead
     *
     * @throws DatabaseTrouble
     */
    public function bytes(): int
    {
        if (!$this->isFile()) {
            return self::number($this->database->fetchOne('SELECT pg_database_size(current_database())'));
        }
        $path = $this->database->getParams()['path'] ?? '';

        return array_sum(
            array_map(static fn (string $file): int => is_file($file) ? (int) filesize($file) : 0, [
                $path,
                $path.'-wal',
            ]),
        );
    }

    /** @return ?int bytes that are free where it lies; null where that is another machine's to tell */
    public function free(): ?int
    {
        $free = $this->isFile() ? disk_free_space(\dirname($this->database->getParams()['path'] ?? '.')) : false;

        return false === $free ? null : (int) $free;
    }

    /**
     * @return array<string, int> table → rows, in order of name
     *
     * @throws DatabaseTrouble
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->entities->getMetadataFactory()->getAllMetadata() as $of) {
            $rows[$of->getTableName()] = self::number(
                $this->database->fetchOne(
                    'SELECT COUNT(*) FROM '.$this->database->quoteSingleIdentifier($of->getTableName()),
                ),
            );
        }
        ksort($rows);

        return $rows;
    }

    private static function number(mixed $told): int
    {
        return is_numeric($told) ? (int) $told : 0;
    }

    private function isFile(): bool
    {
        return $this->database->getDatabasePlatform() instanceof SQLitePlatform;
    }
}

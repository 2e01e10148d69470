<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware; // inside DAMA's (100): its PRAGMAs and BEGIN must reach only the real connection

#[AsMiddleware(priority: 200)]
final class SqliteMiddleware implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                if ('pdo_sqlite' !== ($params['driver'] ?? '')) {
                    return parent::connect($params);
                }
                if (\PHP_SAPI !== 'cli') {
                    // pages work with the file there is; only the shell makes one, and nobody finds an empty school in
                    // place of theirs
                    $params['driverOptions'] = ((array) ($params['driverOptions'] ?? [])) + [
                        \PDO::SQLITE_ATTR_OPEN_FLAGS => \PDO::SQLITE_OPEN_READWRITE,
                    ];
                } elseif (\is_string($params['path'] ?? null) && !file_exists($params['path'])) {
                    // nobody else on the machine reads who found what where; the files beside it take over its rights
                    touch($params['path']) && chmod($params['path'], 0o600);
                }
                $connection = parent::connect($params);
                // FULL: a decision, a score or a harvest that was acknowledged outlives a power cut. It costs a few
                // milliseconds for each write.
                foreach (
                    ['busy_timeout = 10000', 'journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON'] as $pragma
                ) {
                    $connection->exec('PRAGMA '.$pragma);
                }

                $pdo = $connection->getNativeConnection();
                if ($pdo instanceof \PDO) {
                    // SQLite's own knows the letters of English only
                    $pdo->sqliteCreateFunction(
                        'lower',
                        static fn (?string $text): ?string => null === $text ? null : mb_strtolower($text),
                        1,
                        \PDO::SQLITE_DETERMINISTIC,
                    );
                }

                return new SqliteConnection($connection);
            }
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/**
 * Takes the write lock when a transaction begins. A deferred BEGIN that reads first and writes later
 * gets SQLITE_BUSY at once in WAL mode, without waiting for busy_timeout.
 *
 * PDO itself must know of the transaction (doctrine/migrations asks PDO::inTransaction() and silently
 * skips the commit otherwise), so PDO's own BEGIN, which takes no lock, is swapped for BEGIN IMMEDIATE.
 */
final class SqliteConnection extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        parent::beginTransaction();
        $this->exec('COMMIT');
        try {
            $this->exec('BEGIN IMMEDIATE');
        } catch (Exception $e) {
            $this->exec('BEGIN');
            parent::rollBack();
            throw $e;
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\ReadOnlyException;
use Doctrine\DBAL\Exception\TableNotFoundException;

/** Tells a database that is missing, broken, full, of another version or not to be written from a fault of ours. */
final class Unusable
{
    /** Of SQLite: may not be written, trouble of the disk, broken, full, cannot be opened, no database. */
    private const CODES = [8, 10, 11, 13, 14, 26];
    /** Of PostgreSQL: disk full, shutting down, shut down after a crash, not ready. */
    private const STATES = ['53100', '57P01', '57P02', '57P03'];

    public static function explains(\Throwable $error): bool
    {
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            if (
                $cause instanceof ConnectionException
                || $cause instanceof ReadOnlyException
                || $cause instanceof TableNotFoundException
                || ($cause instanceof DriverException
                    && (\in_array($cause->getCode(), self::CODES, true)
                        || \in_array($cause->getSQLState(), self::STATES, true)))
            ) {
                return true;
            }
        }

        return false;
    }
}

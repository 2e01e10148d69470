<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;

/** Every write is one transaction: all of it, or nothing. */
final readonly class Transaction
{
    public function __construct(private EntityManagerInterface $entities, private Arrivals $arrivals)
    {
    }

    /**
     * @template T
     *
     * @param callable(EntityManagerInterface): T $work
     *
     * @return T
     *
     * @throws StoredMeanwhile if somebody else stored the same at the same moment: SQLite lets one write at a time, other databases do not
     */
    public function run(callable $work): mixed
    {
        try {
            return $this->entities->wrapInTransaction(function (EntityManagerInterface $entities) use ($work): mixed {
                $done = $work($entities);
                $this->arrivals->keep($entities);

                return $done;
            });
        } catch (UniqueConstraintViolationException $e) {
            throw new StoredMeanwhile($e);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\ORM\EntityManagerInterface;

/** Every write is one transaction: all of it, or nothing. */
final readonly class Transaction
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @template T
     *
     * @param callable(EntityManagerInterface): T $work
     *
     * @return T
     */
    public function run(callable $work): mixed
    {
        return $this->entities->wrapInTransaction($work);
    }
}

<?php

declare(strict_types=1);

namespace App\Species;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<WoodNote> */
final class WoodNoteRepository extends ServiceEntityRepository
{
    private const MOST = 1000;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, WoodNote::class);
    }

    /** @return array<string, list<WoodNote>> by kind, the last first */
    public function standing(): array
    {
        $notes = [];
        foreach ($this->findBy(['takenBackAt' => null], ['at' => 'DESC'], self::MOST) as $note) {
            $notes[$note->taxon][] = $note;
        }

        return $notes;
    }
}

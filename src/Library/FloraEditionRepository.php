<?php

declare(strict_types=1);

namespace App\Library;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Flora\Flora;

/** @extends ServiceEntityRepository<FloraEdition> */
final class FloraEditionRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly FloraLibrary $library)
    {
        parent::__construct($registry, FloraEdition::class);
    }

    /**
     * Keeps the edition that is in use, once. To be called in the transaction of the decision that leans on it.
     *
     * @throws FloraRefused if its files have changed since it was read
     */
    public function keep(Flora $flora, \DateTimeImmutable $at): void
    {
        if (null !== $this->find($flora->hash)) {
            return;
        }
        $edition = FloraEdition::of($flora->name, $flora->edition, $this->library->document($flora->name), $at);
        if ($edition->hash !== $flora->hash) {
            throw FloraRefused::because($flora->name, 'has just been changed; sign again.');
        }
        $this->getEntityManager()->persist($edition);
    }
}

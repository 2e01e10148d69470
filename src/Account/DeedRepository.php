<?php

declare(strict_types=1);

namespace App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** @extends ServiceEntityRepository<Deed> */
final class DeedRepository extends ServiceEntityRepository
{
    public function __construct(
        ManagerRegistry $registry,
        #[Autowire(service: 'clock')] private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Deed::class);
    }

    /** To be called in the transaction of the deed: what is not stored was not done. */
    public function note(User $by, DeedKind $kind, string $about, string $note = ''): void
    {
        $this->getEntityManager()->persist(
            new Deed($this->clock->now(), $by, $kind, mb_substr($about, 0, 200), mb_substr($note, 0, 500)),
        );
    }

    /** @return list<Deed> the last first */
    public function last(int $most, string $before = ''): array
    {
        $query = $this->createQueryBuilder('d')
            ->addSelect('who')
            ->join('d.by', 'who')
            ->orderBy('d.id', 'DESC')
            ->setMaxResults($most);
        if ('' !== $before) {
            $query->where('d.id < :before')->setParameter('before', $before);
        }
        $rows = $query->getQuery()->getResult();
        \assert(\is_array($rows));

        return array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof Deed));
    }
}

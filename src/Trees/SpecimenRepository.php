<?php

declare(strict_types=1);

namespace App\Trees;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Specimen> */
final class SpecimenRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Specimen::class);
    }

    /**
     * Trees whose tag, place or way to find them holds every one of the words.
     *
     * @param string $words with blanks between; none finds all
     * @param string $after the tag of the last tree of the page before
     *
     * @return list<Specimen> in the order of their tags
     */
    public function page(string $words, string $after, int $most): array
    {
        $found = $this->holding($words)->addSelect('site')->andWhere('s.tag > :after')->setParameter('after', $after)->orderBy('s.tag', 'ASC')->setMaxResults($most)->getQuery()->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $row): bool => $row instanceof Specimen));
    }

    public function countHolding(string $words): int
    {
        return (int) $this->holding($words)->select('COUNT(s.id)')->getQuery()->getSingleScalarResult();
    }

    private function holding(string $words): QueryBuilder
    {
        $query = $this->createQueryBuilder('s')->join('s.site', 'site');
        foreach (array_values(array_filter(explode(' ', mb_strtolower(trim($words))), static fn (string $word): bool => '' !== $word)) as $i => $word) {
            $query->andWhere("LOWER(s.tag) LIKE :w$i ESCAPE '!' OR LOWER(s.whereabouts) LIKE :w$i ESCAPE '!' OR LOWER(site.name) LIKE :w$i ESCAPE '!'")
                ->setParameter('w'.$i, '%'.strtr($word, ['!' => '!!', '%' => '!%', '_' => '!_']).'%');
        }

        return $query;
    }
}

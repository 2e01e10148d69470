<?php

declare(strict_types=1);

namespace App\Trees;

use App\Trees\Input\TreeSearch;
use App\Web\Refused;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\ORM\Query\Parameter;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Measure\Length;

/** @extends ServiceEntityRepository<Specimen> */
final class SpecimenRepository extends ServiceEntityRepository
{
    /** A year is drawn of no more. */
    private const MOST_HELD = 3000;

    public function __construct(ManagerRegistry $registry, private readonly KindsByDanger $kinds)
    {
        parent::__construct($registry, Specimen::class);
    }

    /**
     * Trees that answer to a search.
     *
     * @return list<Specimen> in the order of their tags, from the one after the last of the page before
     */
    public function page(TreeSearch $search, int $most): array
    {
        $found = $this->answering($search)
            ->addSelect('site')
            ->andWhere('s.tag > :after')
            ->setParameter('after', $search->after)
            ->orderBy('s.tag', 'ASC')
            ->setMaxResults($most)
            ->getQuery()
            ->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $row): bool => $row instanceof Specimen));
    }

    public function countAnswering(TreeSearch $search): int
    {
        return (int) $this->answering($search)->select('COUNT(s.id)')->getQuery()->getSingleScalarResult();
    }

    /** @return list<array<string, mixed>> id, tag, latitude, longitude, kind, kindFlora, doubt of those with a position */
    public function placed(TreeSearch $search, int $most): array
    {
        $rows = $this->answering($search)
            ->select('s.id', 's.tag', 's.latitude', 's.longitude', 's.kind', 's.kindFlora', 's.doubt')
            ->andWhere('s.latitude IS NOT NULL')
            ->orderBy('s.tag', 'ASC')
            ->setMaxResults($most)
            ->getQuery()
            ->getScalarResult();

        /** @var list<array<string, mixed>> $rows */
        return $rows;
    }

    /**
     * Those that are held to be a kind of a flora, which nobody doubts, and are still there.
     *
     * @param list<string> $sites ids of places; none: of all
     *
     * @return list<Specimen> by tag
     */
    public function held(string $flora, array $sites = []): array
    {
        $query = $this->createQueryBuilder('s')
            ->addSelect('site')
            ->join('s.site', 'site')
            ->where("s.kind <> '' AND s.kindFlora = :flora AND s.doubt = '' AND s.gone = :there")
            ->setParameter('flora', $flora)
            ->setParameter('there', Gone::Not)
            ->orderBy('s.tag', 'ASC')
            ->setMaxResults(self::MOST_HELD);
        if ([] !== $sites) {
            $query->andWhere('s.site IN (:sites)')->setParameter('sites', $sites);
        }
        $found = $query->getQuery()->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $row): bool => $row instanceof Specimen));
    }

    /**
     * Those that are there, dead ones that still stand among them, between two parallels and two meridians.
     *
     * @return list<Specimen>
     */
    public function inBox(float $south, float $north, float $west, float $east): array
    {
        /** @var list<Specimen> $trees */
        $trees = $this->createQueryBuilder('s')
            ->where("s.gone IN ('', 'dead')")
            ->andWhere('s.latitude BETWEEN :south AND :north AND s.longitude BETWEEN :west AND :east')
            ->setParameters(new ArrayCollection([
                new Parameter('south', $south),
                new Parameter('north', $north),
                new Parameter('west', $west),
                new Parameter('east', $east),
            ]))
            ->orderBy('s.tag')
            ->getQuery()
            ->getResult();

        return $trees;
    }

    /** @return list<Specimen> that are there, and of which nobody has taken where */
    public function unplaced(Site $site): array
    {
        return $this->findBy(['site' => $site, 'latitude' => null, 'gone' => Gone::Not], ['tag' => 'ASC']);
    }

    /**
     * The same, as little of it as a page over all places needs.
     *
     * @return list<array{id: string, tag: string, kind: string, site: string}> by tag
     */
    public function kindsHeld(string $flora): array
    {
        /** @var list<array{id: string, tag: string, kind: string, site: string}> $rows */
        $rows = $this->createQueryBuilder('s')
            ->select('s.id', 's.tag', 's.kind', 'IDENTITY(s.site) AS site')
            ->where("s.kind <> '' AND s.kindFlora = :flora AND s.doubt = '' AND s.gone = :there")
            ->setParameter('flora', $flora)
            ->setParameter('there', Gone::Not)
            ->orderBy('s.tag', 'ASC')
            ->setMaxResults(self::MOST_HELD)
            ->getQuery()
            ->getArrayResult();

        return $rows;
    }

    /** @return list<Specimen> there, with a position, in a square around a point that holds the circle */
    public function ofKindAround(string $kind, float $latitude, float $longitude, Length $within): array
    {
        // a degree of latitude is 110.6 km at the least
        $north = $within->metres() / 110_000;
        $east = $north / max(0.01, cos(deg2rad(min(89.0, abs($latitude) + $north))));
        $found = $this->createQueryBuilder('s')
            ->where('s.kind = :kind AND s.gone = :there')
            ->andWhere('s.latitude BETWEEN :south AND :north AND s.longitude BETWEEN :west AND :east')
            ->setParameters(
                new ArrayCollection([
                    new Parameter('kind', $kind),
                    new Parameter('there', Gone::Not->value),
                    new Parameter('south', $latitude - $north),
                    new Parameter('north', $latitude + $north),
                    new Parameter('west', $longitude - $east),
                    new Parameter('east', $longitude + $east),
                ]),
            )
            ->setMaxResults(60)
            ->getQuery()
            ->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $row): bool => $row instanceof Specimen));
    }

    /** @return list<Specimen> that may have had a tag before */
    private function formerly(string $tag): array
    {
        $found = $this->createQueryBuilder('s')
            ->where("s.formerTagsLine LIKE :tag ESCAPE '!'")
            ->setParameter('tag', '%'.strtr($tag, ['!' => '!!', '%' => '!%', '_' => '!_']).'%')
            ->getQuery()
            ->getResult();
        \assert(\is_array($found));

        return array_values(array_filter($found, static fn (mixed $row): bool => $row instanceof Specimen));
    }

    public function findFormer(string $tag): ?Specimen
    {
        foreach ($this->formerly($tag) as $tree) {
            if (\in_array($tag, array_column($tree->formerTags, 'tag'), true)) {
                return $tree;
            }
        }

        return null;
    }

    /** @throws Refused if a tree has that tag, or had it before */
    public function wantFree(string $tag): void
    {
        $same = $this->findOneBy(['tag' => $tag]);
        if (null !== $same) {
            throw Refused::field('tag', \sprintf('The tag %s is taken; choose another.', $tag));
        }
        $former = $this->findFormer($tag);
        if (null !== $former) {
            throw Refused::field('tag', \sprintf('%s had the tag %s before; choose another.', $former->tag, $tag));
        }
    }

    private function answering(TreeSearch $search): QueryBuilder
    {
        $query = $this->holding($search->q)
            ->andWhere($search->gone ? 's.gone <> :there' : 's.gone = :there')
            ->setParameter('there', Gone::Not->value);
        if ('' !== $search->site) {
            $query->andWhere('s.site = :site')->setParameter('site', $search->site);
        }
        match ($search->danger) {
            null => $query,
            TreeDanger::Unknown => $query->andWhere("s.kind = ''"),
            TreeDanger::Doubted => $query->andWhere("s.kind <> '' AND s.doubt <> ''"),
            default => $query
                ->andWhere("s.doubt = '' AND CONCAT(s.kindFlora, CONCAT('/', s.kind)) IN (:kinds)")
                ->setParameter('kinds', $this->kinds->of($search->danger)),
        };

        return $query;
    }

    private function holding(string $words): QueryBuilder
    {
        $query = $this->createQueryBuilder('s')->join('s.site', 'site');
        foreach (
            array_values(
                array_filter(explode(' ', mb_strtolower(trim($words))), static fn (string $word): bool => '' !== $word),
            ) as $i => $word
        ) {
            $query
                ->andWhere(
                    "LOWER(s.tag) LIKE :w$i ESCAPE '!' OR LOWER(s.formerTagsLine) LIKE :w$i ESCAPE '!' OR LOWER(s.whereabouts) LIKE :w$i ESCAPE '!' OR LOWER(site.name) LIKE :w$i ESCAPE '!'",
                )
                ->setParameter('w'.$i, '%'.strtr($word, ['!' => '!!', '%' => '!%', '_' => '!_']).'%');
        }

        return $query;
    }
}

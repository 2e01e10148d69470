<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Gone;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Clearance\Answer;
use Hylognosis\Measure\CalendarDay;

/** @extends ServiceEntityRepository<ExaminationRecord> */
final class ExaminationRepository extends ServiceEntityRepository
{
    private const MOST = 60;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, ExaminationRecord::class);
    }

    /** One with all that is shown of it, read at once. */
    public function whole(string $id): ?ExaminationRecord
    {
        return self::records(
            $this->told()
                ->leftJoin('e.scores', 'score')
                ->addSelect('score')
                ->where('e.id = :id')
                ->setParameter('id', $id)
                ->addOrderBy('score.recordedAt')
                ->addOrderBy('score.id'),
        )[0] ?? null;
    }

    /** Name of the flora somebody works with in it, '' where there is no such examination. */
    public function floraOf(string $id): string
    {
        $found = $this->createQueryBuilder('e')
            ->select('e.flora')
            ->where('e.id = :id')
            ->setParameter('id', $id)
            ->getQuery()
            ->getOneOrNullResult();

        return \is_array($found) ? self::text($found['flora']) : '';
    }

    /** @return list<ExaminationRecord> newest first, not more than a page shows */
    public function ofSpecimen(Specimen $specimen, User $viewer): array
    {
        return self::records(
            $this->told()
                ->where('e.specimen = :specimen AND (e.signedAt IS NOT NULL OR e.examiner = :viewer)')
                ->setParameter('specimen', $specimen)
                ->setParameter('viewer', $viewer)
                ->setMaxResults(self::MOST),
        );
    }

    /** @return list<ExaminationRecord> second looks of somebody that are under way */
    public function secondLooksOf(User $reader): array
    {
        return self::records(
            $this->told()
                ->where('e.examiner = :reader AND e.secondOf IS NOT NULL AND e.signedAt IS NULL')
                ->setParameter('reader', $reader),
        );
    }

    /**
     * @return list<ExaminationRecord> of others, signed since that day, of which a second person was all that was
     *     missing then
     */
    public function wantingSince(User $reader, \DateTimeImmutable $day): array
    {
        return self::records(
            $this->told()
                ->where('e.secondWanted = true AND e.signedAt IS NOT NULL AND e.examiner <> :reader AND e.date >= :day')
                ->setParameter('reader', $reader)
                ->setParameter('day', $day, DayType::NAME),
        );
    }

    /** @return list<ExaminationRecord> of somebody, unsigned, begun last first */
    public function openOf(User $user, int $most): array
    {
        return self::records(
            $this->told()
                ->where('e.examiner = :user AND e.signedAt IS NULL')
                ->setParameter('user', $user)
                ->orderBy('e.createdAt', 'DESC')
                ->setMaxResults($most),
        );
    }

    /**
     * @return list<ExaminationRecord> signed, newest first, but of trees somebody is looking at as the second person
     */
    public function signedFor(User $viewer, int $most): array
    {
        return self::records(
            $this->withoutBlind($this->told()->where('e.signedAt IS NOT NULL'), $viewer)->setMaxResults($most),
        );
    }

    /**
     * @return list<ExaminationRecord> first looks at trees that are there, signed since a day, that hope for something
     *     and stand; newest first
     */
    public function hopingSince(User $viewer, \DateTimeImmutable $day, int $most): array
    {
        return self::records(
            $this->withoutBlind(
                $this->told()
                    ->where('e.signedAt IS NOT NULL AND e.claimPart IS NOT NULL AND e.secondOf IS NULL')
                    ->andWhere('e.reconsideredAt IS NULL AND e.date >= :day AND specimen.gone = :not')
                    ->setParameter('day', CalendarDay::iso($day))
                    ->setParameter('not', Gone::Not->value),
                $viewer,
            )->setMaxResults($most),
        );
    }

    /**
     * @return list<ExaminationRecord> signed by others, of which a second person was all that was missing, newest first
     */
    public function wantingSecondFrom(User $viewer, int $most): array
    {
        return self::records(
            $this->withoutBlind(
                $this->told()
                    ->where('e.secondWanted = true AND e.signedAt IS NOT NULL AND e.examiner <> :viewer')
                    ->setParameter('viewer', $viewer),
                $viewer,
            )->setMaxResults($most),
        );
    }

    /**
     * @param list<ExaminationRecord> $records
     *
     * @return array<string, string> by the id of the first: what was signed or taken back of its looks
     */
    public function stampsOfSeconds(array $records): array
    {
        $firsts = array_map(
            static fn (ExaminationRecord $record): ExaminationRecord => $record->secondOf ?? $record,
            $records,
        );
        $rows = $this->createQueryBuilder('e')
            ->select('IDENTITY(e.secondOf) AS first', 'e.id', 'e.signedAt', 'e.reconsideredAt')
            ->where('e.secondOf IN (:firsts)')
            ->setParameter('firsts', $firsts)
            ->orderBy('e.id')
            ->getQuery()
            ->getArrayResult();
        $stamps = [];
        foreach ($rows as $row) {
            \assert(\is_array($row));
            $stamps[self::text($row['first'])] = ($stamps[self::text($row['first'])] ?? '').serialize($row);
        }

        return $stamps;
    }

    /**
     * @param list<ExaminationRecord> $records
     *
     * @return array<string, string> by id: which scores there are, and which of them were taken back
     */
    public function stampsOfScores(array $records): array
    {
        $rows =
            [] === $records
                ? []
                : $this->getEntityManager()
                    ->createQueryBuilder()
                    ->select('IDENTITY(s.examination) AS examination', 's.id', 's.takenBackAt')
                    ->from(ScoreRecord::class, 's')
                    ->where('s.examination IN (:records)')
                    ->setParameter('records', $records)
                    ->orderBy('s.id')
                    ->getQuery()
                    ->getArrayResult();
        $stamps = [];
        foreach ($rows as $row) {
            \assert(\is_array($row));
            $stamps[self::text($row['examination'])] =
                ($stamps[self::text($row['examination'])] ?? '').serialize($row);
        }

        return $stamps;
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }

    /** With the tree, the place and the people, so that none is asked for one by one. */
    private function told(): QueryBuilder
    {
        return $this->createQueryBuilder('e')
            ->addSelect('specimen', 'site', 'examiner')
            ->join('e.specimen', 'specimen')
            ->join('specimen.site', 'site')
            ->join('e.examiner', 'examiner')
            ->orderBy('e.date', 'DESC')
            ->addOrderBy('e.createdAt', 'DESC');
    }

    private function withoutBlind(QueryBuilder $query, User $viewer): QueryBuilder
    {
        $blind = $this->getEntityManager()
            ->createQueryBuilder()
            ->select('IDENTITY(own.specimen)')
            ->from(ExaminationRecord::class, 'own')
            ->where('own.examiner = :looking AND own.signedAt IS NULL AND own.secondOf IS NOT NULL');

        return $query->andWhere('e.specimen NOT IN ('.$blind->getDQL().')')->setParameter('looking', $viewer);
    }

    /** @return list<ExaminationRecord> */
    private static function records(QueryBuilder $query): array
    {
        $rows = $query->getQuery()->getResult();
        \assert(\is_array($rows));

        return array_values(array_filter($rows, static fn (mixed $row): bool => $row instanceof ExaminationRecord));
    }

    /**
     * All signed looks of others at the same tree that belong to this one: its seconds, or the first it is the second
     * of and that one's other seconds. Of each person the newest; none is forgotten because another came later.
     *
     * @return list<ExaminationRecord>
     */
    public function answering(ExaminationRecord $record): array
    {
        $first = $record->secondOf ?? $record;
        $all = [$first, ...$this->findBy(['secondOf' => $first], ['createdAt' => 'ASC'])];

        return array_values(
            array_filter(
                $all,
                static fn (ExaminationRecord $other): bool => $other !== $record
                    && $other->isSigned()
                    && $other->examiner !== $record->examiner,
            ),
        );
    }

    /** What the gate said when it was signed; null where nothing was asked of it. */
    public function answerWhenSigned(ExaminationRecord $record): ?Answer
    {
        return $this->getEntityManager()
            ->getRepository(DecisionRecord::class)
            ->findOneBy(['examination' => $record], ['id' => 'ASC'])?->answer;
    }

    /** Whether somebody has taken a second look at this one already, signed or not. */
    public function hasSecondBy(ExaminationRecord $first, User $user): bool
    {
        return null !== $this->findOneBy(['secondOf' => $first, 'examiner' => $user]);
    }

    /** Whether somebody is in the middle of a second look at this tree, and must not see what others scored. */
    public function isLookingBlind(User $user, Specimen $specimen): bool
    {
        return [] !==
            array_filter(
                $this->findBy(['specimen' => $specimen, 'examiner' => $user, 'signedAt' => null]),
                static fn (ExaminationRecord $own): bool => null !== $own->secondOf,
            );
    }
}

<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Library\Engine;
use App\Library\FloraEditionRepository;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\LockMode;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\InquiryWriter;

/**
 * Puts decisions on record, each chained to the one before, and looks the chain through.
 *
 * @extends ServiceEntityRepository<DecisionRecord>
 */
final class Decisions extends ServiceEntityRepository
{
    private const AT_ONCE = 200;

    public function __construct(
        ManagerRegistry $registry,
        private readonly StoredExaminations $stored,
        private readonly FloraEditionRepository $editions,
        private readonly Engine $engine,
        private readonly SchoolClock $clock,
    ) {
        parent::__construct($registry, DecisionRecord::class);
    }

    /**
     * To be called in a transaction. Where two do at once, the number tells, and one of them is asked to try again.
     *
     * @param Assessment $assessment of that examination, just made
     */
    public function record(ExaminationRecord $record, User $by, Assessment $assessment): DecisionRecord
    {
        $this->editions->keep($assessment->identification->compiled->flora, $this->clock->now());
        $last = $this->last();
        $decision = DecisionRecord::of(
            $record,
            $by,
            $assessment,
            $this->clock->today(),
            (new InquiryWriter())->write($record->flora, $this->stored->asked($record)),
            $this->engine->version,
            ($last->number ?? 0) + 1,
            $last->hash ?? '',
        );
        $this->getEntityManager()->persist($decision);
        $this->getEntityManager()->flush();

        return $decision;
    }

    /**
     * Looks the whole chain through.
     *
     * @return array{int, list<string>} how many there are, and what is wrong, a sentence each
     */
    public function check(): array
    {
        $wrong = [];
        $count = 0;
        $previous = '';
        $entities = $this->getEntityManager();
        do {
            $decisions = $this->createQueryBuilder('d')
                ->where('d.number > :last')
                ->setParameter('last', $count)
                ->orderBy('d.number')
                ->setMaxResults(self::AT_ONCE)
                ->getQuery()
                ->getResult();
            \assert(\is_array($decisions));
            foreach ($decisions as $decision) {
                \assert($decision instanceof DecisionRecord);
                $fault = match (true) {
                    $decision->number !== $count + 1 => 'the one before it is missing',
                    $decision->previous !== $previous => 'it does not follow on the one before it',
                    $decision->seal() !== $decision->hash => 'it was changed after it was taken',
                    default => '',
                };
                if ('' !== $fault) {
                    $wrong[] = \sprintf('Decision %d (%s): %s.', (int) $decision->number, $decision->id, $fault);
                }
                [$count, $previous] = [(int) $decision->number, $decision->hash];
            }
            $entities->clear();
        } while ([] !== $decisions);

        return [$count, $wrong];
    }

    /** Why this one cannot be relied on; empty where it is what was recorded. */
    public function faultOf(DecisionRecord $decision): string
    {
        if (null === $decision->number) {
            return 'It is from before decisions were chained.';
        }
        if ($decision->seal() !== $decision->hash) {
            return 'It was changed after it was taken.';
        }
        $before = 1 === $decision->number ? null : $this->findOneBy(['number' => $decision->number - 1]);

        return ($before->hash ?? '') === $decision->previous ? '' : 'It does not follow on the decision before it.';
    }

    public function hashOf(int $number): string
    {
        return $this->findOneBy(['number' => $number])->hash ?? '';
    }

    private function last(): ?DecisionRecord
    {
        $last = $this->createQueryBuilder('d')
            ->where('d.number IS NOT NULL')
            ->orderBy('d.number', 'DESC')
            ->setMaxResults(1)
            ->getQuery()
            ->setLockMode(LockMode::NONE)
            ->getOneOrNullResult();

        return $last instanceof DecisionRecord ? $last : null;
    }
}

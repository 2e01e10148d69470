<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Trees\Specimen;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<ExaminationRecord> */
final class ExaminationRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, ExaminationRecord::class);
    }

    /** @return list<ExaminationRecord> newest first */
    public function ofSpecimen(Specimen $specimen): array
    {
        return array_values($this->findBy(['specimen' => $specimen], ['date' => 'DESC', 'createdAt' => 'DESC']));
    }

    /**
     * All signed looks of others at the same tree that belong to this one: its seconds, or the first it is the second of and that one's
     * other seconds. Of each person the newest; none is forgotten because another came later.
     *
     * @return list<ExaminationRecord>
     */
    public function answering(ExaminationRecord $record): array
    {
        $first = $record->secondOf ?? $record;
        $all = [$first, ...$this->findBy(['secondOf' => $first], ['createdAt' => 'ASC'])];

        return array_values(array_filter($all, static fn (ExaminationRecord $other): bool => $other !== $record && $other->isSigned() && $other->examiner !== $record->examiner));
    }

    /** Whether somebody has taken a second look at this one already, signed or not. */
    public function hasSecondBy(ExaminationRecord $first, User $user): bool
    {
        return null !== $this->findOneBy(['secondOf' => $first, 'examiner' => $user]);
    }

    /** Whether somebody is in the middle of a second look at this tree, and must not see what others scored. */
    public function isLookingBlind(User $user, Specimen $specimen): bool
    {
        return [] !== array_filter(
            $this->findBy(['specimen' => $specimen, 'examiner' => $user, 'signedAt' => null]),
            static fn (ExaminationRecord $own): bool => null !== $own->secondOf,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Repository;

use App\Entity\ExaminationRecord;
use App\Entity\Specimen;
use App\Entity\User;
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

    /** The newest signed look at the same tree that belongs to this one: its second, or the first it is the second of. */
    public function counterpartOf(ExaminationRecord $first): ?ExaminationRecord
    {
        if (null !== $first->secondOf) {
            return $first->secondOf;
        }
        foreach ($this->findBy(['secondOf' => $first], ['date' => 'DESC', 'createdAt' => 'DESC']) as $second) {
            if ($second->isSigned() && $second->examiner !== $first->examiner) {
                return $second;
            }
        }

        return null;
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

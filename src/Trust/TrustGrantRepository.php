<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\Role;
use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\TrustOfLearners;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Hylognosis\Clearance\Trust;

/** @extends ServiceEntityRepository<TrustGrant> */
final class TrustGrantRepository extends ServiceEntityRepository implements TrustOfLearners
{
    public function __construct(ManagerRegistry $registry, private readonly SchoolClock $clock)
    {
        parent::__construct($registry, TrustGrant::class);
    }

    public function of(User $person, string $taxon, string $part): ?Trust
    {
        if (Role::Learner !== $person->role || $person->hasLeft()) {
            return null;
        }
        $last = null;
        $by = ['learner' => $person, 'taxon' => $taxon, 'part' => $part, 'withdrawnAt' => null];
        foreach ($this->findBy($by, ['until' => 'ASC']) as $grant) {
            $last = $grant;
            if ($grant->holds($this->clock->today())) {
                break;
            }
        }

        return null === $last ? null : new Trust($last->taxon, $last->part, $last->on, $last->until);
    }

    /** @return list<TrustGrant> that hold now, of this person, or of anybody */
    public function holding(?User $person = null): array
    {
        return array_values(
            array_filter(
                $this->findBy(['withdrawnAt' => null] + (null === $person ? [] : ['learner' => $person])),
                fn (TrustGrant $grant): bool => $grant->holds($this->clock->today()),
            ),
        );
    }
}

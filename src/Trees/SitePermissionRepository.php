<?php

declare(strict_types=1);

namespace App\Trees;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<SitePermission> */
final class SitePermissionRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, SitePermission::class);
    }

    /** @return list<SitePermission> the last first */
    public function of(Site $site): array
    {
        return $this->findBy(['site' => $site], ['id' => 'DESC'], 50);
    }
}

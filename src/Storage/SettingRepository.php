<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Setting> */
final class SettingRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Setting::class);
    }

    public function value(string $name): ?string
    {
        return $this->find($name)?->content;
    }

    public function put(string $name, string $content): void
    {
        $setting = $this->find($name);
        if (null === $setting) {
            $setting = new Setting($name, $content);
            $this->getEntityManager()->persist($setting);
        }
        $setting->content = $content;
    }
}

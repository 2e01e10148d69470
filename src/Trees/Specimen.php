<?php

declare(strict_types=1);

namespace App\Trees;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** One tree, with a tag by which it is found again. */
#[ORM\Entity(repositoryClass: SpecimenRepository::class)]
#[ORM\UniqueConstraint(columns: ['tag'])]
class Specimen
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(length: 24)]
        public readonly string $tag,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Site $site,
        #[ORM\Column(length: 300)]
        public readonly string $whereabouts,
        #[ORM\Column]
        public readonly \DateTimeImmutable $createdAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

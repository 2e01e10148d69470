<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** What an owner said, on a day. Nothing is overwritten: the last one said holds. */
#[ORM\Entity(repositoryClass: SitePermissionRepository::class)]
#[ORM\Table(name: 'site_permission')]
class SitePermission
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string             $owner who said it
     * @param bool               $given may one take, or not
     * @param list<string>       $parts for what, as "taxon/part"; empty: for everything
     * @param \DateTimeImmutable|null $until last day; none if no end was named
     * @param string             $note  how much, where it is written down, what else was said
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Site $site,
        #[ORM\Column(length: 200)]
        public readonly string $owner,
        #[ORM\Column]
        public readonly bool $given,
        #[ORM\Column(type: 'json')]
        public readonly array $parts,
        #[ORM\Column(type: DayType::NAME, nullable: true)]
        public readonly ?\DateTimeImmutable $until,
        #[ORM\Column(length: 8)]
        public readonly Said $said,
        #[ORM\Column(type: DayType::NAME)]
        public readonly \DateTimeImmutable $saidOn,
        #[ORM\Column(length: 500)]
        public readonly string $note,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $recordedBy,
        #[ORM\Column]
        public readonly \DateTimeImmutable $recordedAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** Something somebody did that others may want to know of later. Deeds are only ever added. */
#[ORM\Entity(repositoryClass: DeedRepository::class)]
#[ORM\Table(name: 'deed')]
#[ORM\Index(name: 'deed_at', columns: ['at'])]
class Deed
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string $about what it was done to, as people know it: a name, a tag, a place
     * @param string $note  more of it, in a few words; may be empty
     */
    public function __construct(
        #[ORM\Column]
        public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $by,
        #[ORM\Column(length: 32)]
        public readonly DeedKind $kind,
        #[ORM\Column(length: 200)]
        public readonly string $about,
        #[ORM\Column(length: 500)]
        public readonly string $note,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

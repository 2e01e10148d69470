<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** What somebody held a tree to be, and on what ground, or why somebody doubted it. These are only ever added. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'tree_kind')]
class TreeKind
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string       $taxon        empty: no kind is held any more
     * @param list<string> $examinations ids of those it rests on
     * @param string       $doubt        why it is doubted; empty where it is held
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Specimen $specimen,
        #[ORM\Column(length: 80)]
        public readonly string $taxon,
        #[ORM\Column(length: 80)]
        public readonly string $flora,
        #[ORM\Column(type: 'json')]
        public readonly array $examinations,
        #[ORM\Column(length: 500)]
        public readonly string $doubt,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(name: 'said_by_id', nullable: false)]
        public readonly User $by,
        #[ORM\Column]
        public readonly \DateTimeImmutable $saidAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        [$specimen->kind, $specimen->kindFlora, $specimen->doubt] = [$taxon, '' === $taxon ? '' : $flora, $doubt];
    }
}

<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** All that came of something that is doubted is called back. Nobody undoes it. */
#[ORM\Entity(repositoryClass: RecallRepository::class, readOnly: true)]
#[ORM\Table(name: 'recall')]
class Recall
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** @param string $about id of the tree, decision, person or batch; or "taxon/part" */
    public function __construct(
        #[ORM\Column(length: 12)] public readonly RecallOf $what,
        #[ORM\Column(length: 160)] public readonly string $about,
        #[ORM\Column(length: 500)] public readonly string $because,
        #[ORM\Column(name: 'recalled_at')] public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'recalled_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

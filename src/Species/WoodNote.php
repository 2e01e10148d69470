<?php

declare(strict_types=1);

namespace App\Species;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Processing\Ease;

/** What somebody at the school found of a wood: how it worked, or what a dry piece of it weighed. */
#[ORM\Entity(repositoryClass: WoodNoteRepository::class)]
#[ORM\Table(name: 'wood_note')]
#[ORM\Index(name: 'wood_note_taxon', columns: ['taxon', 'recorded_at'])]
class WoodNote
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $takenBackAt = null;

    /**
     * @param string     $id      made by whoever records it, so that sent twice it stands once
     * @param Ease|null  $ease    how it took to it; null where it was weighed
     * @param float|null $density air dry, kg in a cubic metre; null where it was worked
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\Column(length: 80)] public readonly string $taxon,
        #[ORM\Column(length: 8)] public readonly WoodWork $work,
        #[ORM\Column(length: 4, nullable: true)] public readonly ?Ease $ease,
        #[ORM\Column(nullable: true)] public readonly ?float $density,
        #[ORM\Column(length: 300)] public readonly string $note,
        #[ORM\Column(name: 'recorded_at')] public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'found_by_id', nullable: false)] public readonly User $by,
    ) {
    }
}

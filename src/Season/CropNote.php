<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Trees\Specimen;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Crop\CropGrade;

/**
 * How much hung on a tree in a year, as somebody saw it, and how much of it was sound. Taken back, it stays on record.
 */
#[ORM\Entity(repositoryClass: CropNoteRepository::class)]
#[ORM\Table(name: 'crop_note')]
#[ORM\Index(name: 'crop_note_year', columns: ['crop_year'])]
class CropNote
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $takenBackAt = null;

    /**
     * @param string $id     made by whoever records it, so that sent twice it is recorded once
     * @param string $part   id of the part, of what the tree is held to be
     * @param int    $year   in which its window began
     * @param int    $opened fruits or nuts that were cut open; 0: none
     * @param int    $sound  of them, how many were sound
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Specimen $specimen,
        #[ORM\Column(length: 40)] public readonly string $part,
        #[ORM\Column(name: 'crop_year')] public readonly int $year,
        #[ORM\Column(length: 8)] public readonly CropGrade $grade,
        #[ORM\Column] public readonly int $opened,
        #[ORM\Column] public readonly int $sound,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'seen_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column] public readonly \DateTimeImmutable $recordedAt,
    ) {
    }
}

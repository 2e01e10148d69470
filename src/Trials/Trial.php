<?php

declare(strict_types=1);

namespace App\Trials;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Specimen;
use Doctrine\ORM\Mapping as ORM;

/** Somebody tried a way of doing something: of what, how damp, and whether it worked. */
#[ORM\Entity(repositoryClass: TrialRepository::class)]
#[ORM\Table(name: 'trial')]
class Trial
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $takenBackAt = null;

    /**
     * @param string      $id      made by whoever records it, so that sent twice it is recorded once
     * @param string      $of      of what: the stuff, in words
     * @param string      $way     how, in words: the spark, the twist, the mordant
     * @param int|null    $seconds until it worked, or until it was given up
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\Column(length: 8)] public readonly TrialOf $what,
        #[ORM\Column(name: 'made_of', length: 120)] public readonly string $of,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: true)] public ?Specimen $specimen,
        #[ORM\Column(length: 120)] public readonly string $way,
        #[ORM\Column(length: 4)] public readonly Damp $damp,
        #[ORM\Column] public readonly bool $worked,
        #[ORM\Column(nullable: true)] public readonly ?int $seconds,
        #[ORM\Column(length: 500)] public readonly string $note,
        #[ORM\Column(name: 'tried_on', type: DayType::NAME)] public readonly \DateTimeImmutable $on,
        #[ORM\Column] public readonly \DateTimeImmutable $recordedAt,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'tried_by_id', nullable: false)] public readonly User $by,
    ) {
    }
}

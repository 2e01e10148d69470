<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Account\User;
use App\Trees\Specimen;
use App\Trees\Stand;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** What the owner decided about a tree at a pasture, and why. These are only ever added; the last one holds. */
#[ORM\Entity(repositoryClass: PastureChoiceRepository::class)]
#[ORM\Table(name: 'pasture_choice')]
class PastureChoice
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string     $shade what its shade is worth there, in words; may be empty
     * @param string     $fruit the same of what it bears
     * @param float|null $price of a cubic metre of its wood as it stands, in the user's money
     * @param string     $why   in the decider's words
     */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Pasture $pasture,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public ?Specimen $specimen,
        #[ORM\ManyToOne] #[ORM\JoinColumn] public readonly ?Stand $stand,
        #[ORM\Column(length: 8)] public readonly Choice $choice,
        #[ORM\Column(length: 200)] public readonly string $shade,
        #[ORM\Column(length: 200)] public readonly string $fruit,
        #[ORM\Column(nullable: true)] public readonly ?float $price,
        #[ORM\Column(length: 500)] public readonly string $why,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'chosen_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column] public readonly \DateTimeImmutable $chosenAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

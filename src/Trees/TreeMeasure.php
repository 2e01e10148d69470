<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** What was measured of a tree on a day. Nothing is overwritten. */
#[ORM\Entity(repositoryClass: TreeMeasureRepository::class)]
#[ORM\Table(name: 'tree_measure')]
class TreeMeasure
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param float|null $girth  centimetres round the trunk at breast height (1.3 m)
     * @param float|null $height metres
     * @param float|null $lowest metres above ground, of the lowest living twigs: what of it can be reached
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Specimen $specimen,
        #[ORM\Column(name: 'measured_on', type: DayType::NAME)]
        public readonly \DateTimeImmutable $on,
        #[ORM\Column(nullable: true)]
        public readonly ?float $girth,
        #[ORM\Column(nullable: true)]
        public readonly ?float $height,
        #[ORM\Column(nullable: true)]
        public readonly ?float $lowest,
        #[ORM\Column(length: 300)]
        public readonly string $note,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(name: 'measured_by_id', nullable: false)]
        public readonly User $by,
        #[ORM\Column]
        public readonly \DateTimeImmutable $recordedAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

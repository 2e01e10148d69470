<?php

declare(strict_types=1);

namespace App\Map;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Uid\Uuid;

/** A school's own ground for the map: contours, water, ways, from an open file. The last one brought in is drawn. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'base_map')]
class BaseMap
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** @param string $features a GeoJSON feature collection; an empty text: back to the one that ships */
    public function __construct(
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column(type: 'text')]
        public readonly string $features,
        #[ORM\Column]
        public readonly \DateTimeImmutable $addedAt,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $addedBy,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

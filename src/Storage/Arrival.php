<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\ORM\Mapping as ORM;

/**
 * Something entered out of the server's reach that has arrived: sent again, because the answer was lost on the way, it
 * is not done twice.
 */
#[ORM\Entity(repositoryClass: ArrivalRepository::class)]
#[ORM\Table(name: 'arrival')]
class Arrival
{
    public function __construct(
        /** The Idempotency-Key of the request, a UUID made by whoever sends it. */
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        /** What was asked, so that a key is not taken for another entry's. */
        #[ORM\Column(length: 64)] public readonly string $request,
        #[ORM\Column] public readonly \DateTimeImmutable $at,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;

/**
 * Counted rates of misreading, proposed for the next edition of a flora. They change no gate until an edition has them.
 *
 * @phpstan-type Rate array{character: string, looks: int, wrong: int, was: float, rate: float, low: float,
 *     high: float, confusions: array<string, list<string>>}
 */
#[ORM\Entity]
#[ORM\Table(name: 'rate_proposal')]
class RateProposal
{
    /**
     * @param string $id   made by whoever proposes
     * @param string $hash of the edition the rates were counted with
     * @param list<Rate> $rates
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\Column(length: 80)] public readonly string $flora,
        #[ORM\Column(name: 'flora_hash', length: 64)] public readonly string $hash,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'proposed_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'proposed_at')] public readonly \DateTimeImmutable $at,
        #[ORM\Column(name: 'from_people')] public readonly int $people,
        #[ORM\Column(type: 'json')] public readonly array $rates,
    ) {
    }
}

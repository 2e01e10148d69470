<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Learning\TrustLook;
use Hylognosis\Measure\CalendarDay;

/**
 * An instructor trusts a learner with a part, on evidence that is kept with it. It ends by itself, or is withdrawn;
 * nothing of it is ever deleted.
 */
#[ORM\Entity(repositoryClass: TrustGrantRepository::class)]
#[ORM\Table(name: 'trust_grant')]
#[ORM\Index(name: 'trust_grant_of', columns: ['learner_id', 'taxon', 'part'])]
class TrustGrant
{
    #[ORM\Column(name: 'withdrawn_at', nullable: true)]
    public ?\DateTimeImmutable $withdrawnAt = null;

    /** Who withdrew it; null where a look went wrong and it fell by itself. */
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'withdrawn_by_id')]
    public ?User $withdrawnBy = null;

    #[ORM\Column(name: 'withdrawn_because', length: 500, options: ['default' => ''])]
    public string $withdrawnBecause = '';

    /**
     * @param string                                                 $id       made by whoever grants it
     * @param list<array{id: string, outcome: string, on: string}> $evidence the looks it rests on
     * @param array<string, int>                                     $terms    what was asked then
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'learner_id', nullable: false)] public readonly User $learner,
        #[ORM\Column(length: 80)] public readonly string $taxon,
        #[ORM\Column(length: 40)] public readonly string $part,
        #[ORM\Column(length: 80)] public readonly string $flora,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'granted_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'granted_on', type: DayType::NAME)] public readonly \DateTimeImmutable $on,
        #[ORM\Column(name: 'good_until', type: DayType::NAME)] public readonly \DateTimeImmutable $until,
        #[ORM\Column(type: 'json')] public readonly array $evidence,
        #[ORM\Column(type: 'json')] public readonly array $terms,
    ) {
    }

    /** @return array{id: string, outcome: string, on: string} as it is kept */
    public static function kept(TrustLook $look): array
    {
        return ['id' => $look->id, 'outcome' => $look->outcome->value, 'on' => CalendarDay::iso($look->on)];
    }

    public function isWithdrawn(): bool
    {
        return null !== $this->withdrawnAt;
    }

    public function holds(\DateTimeImmutable $today): bool
    {
        return !$this->isWithdrawn() && $this->on <= $today && $today <= $this->until;
    }

    public function withdraw(\DateTimeImmutable $at, ?User $by, string $because): void
    {
        [$this->withdrawnAt, $this->withdrawnBy, $this->withdrawnBecause] = [$at, $by, $because];
    }
}

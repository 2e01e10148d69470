<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Learning\TrustTerms;
use Symfony\Component\Uid\Uuid;

/** What the school asks before a learner may decide on a part. */
#[ORM\Entity]
#[ORM\Table(name: 'trust_rule')]
#[ORM\UniqueConstraint(name: 'trust_rule_part', columns: ['taxon', 'part'])]
class TrustRule
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column]
    public int $looks = 0;

    #[ORM\Column]
    public int $lookAlikes = 0;

    #[ORM\Column]
    public int $traps = 0;

    #[ORM\Column]
    public int $months = 0;

    #[ORM\Column]
    public int $validMonths = 0;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'set_by_id', nullable: false)]
    public User $by;

    public function __construct(
        #[ORM\Column(length: 80)] public readonly string $taxon,
        #[ORM\Column(length: 40)] public readonly string $part,
        #[ORM\Column(length: 80)] public string $flora,
        TrustTerms $terms,
        User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->set($terms, $flora, $by);
    }

    public function set(TrustTerms $terms, string $flora, User $by): void
    {
        [$this->looks, $this->lookAlikes, $this->traps] = [$terms->looks, $terms->lookAlikes, $terms->traps];
        [$this->months, $this->validMonths, $this->flora, $this->by] = [
            $terms->months,
            $terms->validMonths,
            $flora,
            $by,
        ];
    }

    public function terms(): TrustTerms
    {
        return new TrustTerms($this->looks, $this->lookAlikes, $this->traps, $this->months, $this->validMonths);
    }
}

<?php

declare(strict_types=1);

namespace App\Survey;

use App\Account\User;
use App\Storage\DayType;
use App\Trees\Site;
use Doctrine\ORM\Mapping as ORM;

/** One walk through a place, and when it is due again. */
#[ORM\Entity(repositoryClass: SurveyRepository::class)]
#[ORM\Table(name: 'survey')]
class Survey
{
    /** After so many months the sheets of a walk are old: limbs die, hedges grow. Common practice: once a year. */
    public const DUE_AFTER = '+1 year';

    #[ORM\Column(name: 'closed_at', nullable: true)]
    public ?\DateTimeImmutable $closedAt = null;

    #[ORM\Column(name: 'due_on', type: DayType::NAME)]
    public \DateTimeImmutable $dueOn;

    /** @param string $id made by whoever begins it, so that sent twice it is kept once */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Site $site,
        #[ORM\Column(name: 'walked_on', type: DayType::NAME)] public readonly \DateTimeImmutable $on,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'walked_by_id', nullable: false)] public readonly User $by,
        #[ORM\Column(name: 'begun_at')] public readonly \DateTimeImmutable $begunAt,
    ) {
        $this->dueOn = $on->modify(self::DUE_AFTER);
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Learning\Repetition;
use Symfony\Component\Uid\Uuid;

/** Something somebody is asked, and when it is asked again. */
#[ORM\Entity(repositoryClass: DrillCardRepository::class)]
#[ORM\Table(name: 'drill_card')]
#[ORM\UniqueConstraint(name: 'drill_card_of', columns: ['learner_id', 'card'])]
class DrillCard
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(name: 'times_right')]
    public int $times = 0;

    #[ORM\Column(name: 'days_until')]
    public int $days = 0;

    #[ORM\Column]
    public float $ease = 2.5;

    #[ORM\Column(name: 'due_on', type: DayType::NAME)]
    public \DateTimeImmutable $dueOn;

    #[ORM\Column]
    public int $asked = 0;

    #[ORM\Column]
    public int $wrong = 0;

    /** @param string $card what is asked, as {@see DrillDeck} names it */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'learner_id', nullable: false)] public readonly User $by,
        #[ORM\Column(length: 200)] public readonly string $card,
        \DateTimeImmutable $today,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->dueOn = $today;
    }

    /** @param int $quality 0 to 5 */
    public function answered(int $quality, \DateTimeImmutable $today): void
    {
        $next = (new Repetition($this->times, $this->days, $this->ease))->answered($quality);
        [$this->times, $this->days, $this->ease] = [$next->times, $next->days, $next->ease];
        $this->dueOn = $today->modify(\sprintf('+%d days', $next->days));
        ++$this->asked;
        $this->wrong += 0 === $next->times ? 1 : 0;
    }
}

<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Examination\Certainty;
use Hylognosis\Learning\Reading;
use Symfony\Component\Uid\Uuid;

/** What somebody read of something whose truth was known: at a practice tree or in a drill. */
#[ORM\Entity(repositoryClass: LearnerReadingRepository::class)]
#[ORM\Table(name: 'learner_reading')]
class LearnerReading
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string             $trait id of the character
     * @param list<string|float> $true
     * @param list<string|float> $read
     */
    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'learner_id', nullable: false)] public readonly User $by,
        #[ORM\Column(length: 80)] public readonly string $flora,
        #[ORM\Column(length: 80)] public readonly string $trait,
        #[ORM\Column(name: 'true_values', type: 'json')] public readonly array $true,
        #[ORM\Column(name: 'read_values', type: 'json')] public readonly array $read,
        #[ORM\Column(length: 8)] public readonly Certainty $certainty,
        #[ORM\Column(name: 'is_right')] public readonly bool $isRight,
        #[ORM\Column(name: 'read_at')] public readonly \DateTimeImmutable $at,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function reading(): Reading
    {
        return new Reading($this->trait, $this->true, $this->read, $this->certainty, $this->at);
    }
}

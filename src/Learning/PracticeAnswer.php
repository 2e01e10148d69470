<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Learning\LearnersDecision;
use Hylognosis\Learning\PracticeMark;

/** How somebody answered a practice tree. */
#[ORM\Entity(repositoryClass: PracticeAnswerRepository::class)]
#[ORM\Table(name: 'practice_answer')]
class PracticeAnswer
{
    /**
     * @param string $id    made by whoever answers, so that sent twice it is kept once
     * @param string $code  of the tree
     * @param string $taxon what it was
     * @param string $said  what it was taken for; empty: left open
     * @param int    $read  characters scored
     * @param int    $right of these
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'learner_id', nullable: false)] public readonly User $by,
        #[ORM\Column(length: 90)] public readonly string $code,
        #[ORM\Column(length: 80)] public readonly string $taxon,
        #[ORM\Column(length: 80)] public readonly string $said,
        #[ORM\Column(length: 8)] public readonly LearnersDecision $decision,
        #[ORM\Column(length: 24)] public readonly PracticeMark $mark,
        #[ORM\Column(name: 'read_count')] public readonly int $read,
        #[ORM\Column(name: 'right_count')] public readonly int $right,
        #[ORM\Column(name: 'answered_at')] public readonly \DateTimeImmutable $at,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Batches;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Recipe\CheckAnswer;
use Symfony\Component\Uid\Uuid;

/** Somebody tasted, felt or looked whether a step is done. */
#[ORM\Entity]
#[ORM\Table(name: 'batch_check')]
class BatchCheck
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** @param string $note how it tasted, felt or looked */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'checks')] #[ORM\JoinColumn(nullable: false)] public readonly BatchStep $step,
        #[ORM\Column(length: 12)] public readonly CheckAnswer $answer,
        #[ORM\Column(length: 300)] public readonly string $note,
        #[ORM\Column(name: 'checked_at')] public readonly \DateTimeImmutable $at,
        #[ORM\ManyToOne] #[ORM\JoinColumn(name: 'checked_by_id', nullable: false)] public readonly User $by,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }
}

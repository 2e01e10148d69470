<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Reason\Reason;
use Symfony\Component\Uid\Uuid;

/** A decision of the gate. Decisions are only ever added; the hash of the flora they were taken with lets each be explained years later. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'decision')]
#[ORM\Index(name: 'decision_part', columns: ['taxon', 'part'])]
class DecisionRecord
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param array<string, bool>                                          $conditions
     * @param array{code: string, with: array<string, mixed>}              $because    a reason, no sentence: those are made for whoever reads it
     * @param list<array{point: string, status: string, because: array{code: string, with: array<string, mixed>}}> $points
     * @param string                                                       $decidedOn  `2027-06-14`
     * @param string|null                                                  $validUntil last day it holds, if cleared
     */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly ExaminationRecord $examination,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly User $decidedBy,
        #[ORM\Column(length: 80)]
        public readonly string $taxon,
        #[ORM\Column(length: 40)]
        public readonly string $part,
        #[ORM\Column(type: 'json')]
        public readonly array $conditions,
        #[ORM\Column(length: 12)]
        public readonly Answer $answer,
        #[ORM\Column(name: 'reason', type: 'json', options: ['default' => '{}'])]
        public readonly array $because,
        #[ORM\Column(type: 'json')]
        public readonly array $points,
        #[ORM\Column]
        public readonly float $posterior,
        #[ORM\Column(length: 64)]
        public readonly string $floraHash,
        #[ORM\Column(length: 10)]
        public readonly string $decidedOn,
        #[ORM\Column(length: 10, nullable: true)]
        public readonly ?string $validUntil,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    /**
     * @param \DateTimeImmutable $today the day of the decision
     *
     * @throws \LogicException if nothing was claimed, so that there is nothing to decide
     */
    public static function of(ExaminationRecord $record, User $decidedBy, Assessment $assessment, \DateTimeImmutable $today): self
    {
        $clearance = $assessment->clearance;
        if (null === $clearance || null === $record->claimTaxon || null === $record->claimPart) {
            throw new \LogicException('Nothing was claimed; there is nothing to decide.');
        }

        return new self(
            $record, $decidedBy, $record->claimTaxon, $record->claimPart, $record->conditions, $clearance->answer, self::told($clearance->because),
            array_map(static fn (PointReport $p): array => ['point' => $p->point, 'status' => $p->status->value, 'because' => self::told($p->because)], $clearance->points),
            $assessment->identification->posteriorOf($record->claimTaxon), $assessment->identification->compiled->flora->hash, $today->format('Y-m-d'), $clearance->until?->format('Y-m-d'),
        );
    }

    public function reason(): Reason
    {
        /** @var array<string, string|int|float|bool|list<string|float>|null> $with */
        $with = $this->because['with'];

        return new Reason($this->because['code'], $with);
    }

    /** @return array{code: string, with: array<string, mixed>} */
    private static function told(Reason $reason): array
    {
        return ['code' => $reason->code, 'with' => $reason->with];
    }
}

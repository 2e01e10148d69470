<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Reason\Reason;
use Symfony\Component\Uid\Uuid;

/**
 * A decision of the gate. Decisions are only ever added, each with the hash of the one before it, so that a changed or
 * missing one shows. What the engine was told, the edition of the flora and the nine reports are kept with it: it can
 * be explained, and reckoned again, years later.
 */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'decision')]
#[ORM\Index(name: 'decision_part', columns: ['taxon', 'part'])]
#[ORM\UniqueConstraint(name: 'decision_number', columns: ['number'])]
class DecisionRecord
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** SHA-256 of all that stands here, 64 hexadecimal digits; empty for one from before they were chained. */
    #[ORM\Column(length: 64, options: ['default' => ''])]
    public readonly string $hash;

    /**
     * @param array<string, bool>                                          $conditions
     * @param array{code: string, with: array<string, mixed>}              $because    a reason, no sentence: those are
     *                                         made for whoever reads it
     * @param list<array{point: string, status: string, because: array{code: string, with: array<string, mixed>}, items?: list<array{about: string, subject: string, status: string, detail: array{code: string, with: array<string, mixed>}}>}> $points
     * @param \DateTimeImmutable|null                                      $validUntil last day it holds, if cleared
     * @param array<string, mixed>                                         $inputs     all the engine was told, as an
     *                                         examination document
     * @param string                                                       $engine     {@see \App\Library\Engine}
     * @param int|null                                                     $number     in the chain, from 1 up
     * @param string                                                       $previous   hash of the one before
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
        #[ORM\Column(type: DayType::NAME)]
        public readonly \DateTimeImmutable $decidedOn,
        #[ORM\Column(type: DayType::NAME, nullable: true)]
        public readonly ?\DateTimeImmutable $validUntil,
        #[ORM\Column(type: 'json', options: ['default' => '[]'])]
        public readonly array $inputs,
        #[ORM\Column(length: 40, options: ['default' => ''])]
        public readonly string $engine,
        #[ORM\Column(nullable: true)]
        public readonly ?int $number,
        #[ORM\Column(length: 64, options: ['default' => ''])]
        public readonly string $previous,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->hash = $this->seal();
    }

    /** Of what stands here now; another than {@see $hash} where something was changed. */
    public function seal(): string
    {
        return hash(
            'sha256',
            json_encode(
                [
                    $this->number,
                    $this->previous,
                    $this->id,
                    $this->examination->id,
                    $this->decidedBy->id,
                    $this->taxon,
                    $this->part,
                    $this->conditions,
                    $this->answer->value,
                    $this->because,
                    $this->points,
                    \sprintf('%.11e', $this->posterior),
                    $this->floraHash,
                    CalendarDay::iso($this->decidedOn),
                    null === $this->validUntil ? null : CalendarDay::iso($this->validUntil),
                    $this->inputs,
                    $this->engine,
                ],
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION,
            ),
        );
    }

    /**
     * @param \DateTimeImmutable   $today    the day of the decision
     * @param array<string, mixed> $inputs   all the engine was told
     * @param int                  $number   in the chain
     * @param string               $previous hash of the one before
     *
     * @throws \LogicException if nothing was claimed, so that there is nothing to decide
     */
    public static function of(
        ExaminationRecord $record,
        User $decidedBy,
        Assessment $assessment,
        \DateTimeImmutable $today,
        array $inputs,
        string $engine,
        int $number,
        string $previous,
    ): self {
        $clearance = $assessment->clearance;
        if (null === $clearance || null === $record->claimTaxon || null === $record->claimPart) {
            throw new \LogicException('Nothing was claimed; there is nothing to decide.');
        }

        return new self(
            $record,
            $decidedBy,
            $record->claimTaxon,
            $record->claimPart,
            $record->conditions,
            $clearance->answer,
            self::told($clearance->because),
            array_map(
                static fn (PointReport $p): array => [
                    'point' => $p->point,
                    'status' => $p->status->value,
                    'because' => self::told($p->because),
                    'items' => array_map(
                        static fn (PointItem $item): array => [
                            'about' => $item->about->value,
                            'subject' => $item->subject,
                            'status' => $item->status->value,
                            'detail' => self::told($item->detail),
                        ],
                        $p->items,
                    ),
                ],
                $clearance->points,
            ),
            // twelve digits: what a database keeps of more differs, and the seal would break
            (float) \sprintf('%.11e', $assessment->identification->posteriorOf($record->claimTaxon)),
            $assessment->identification->compiled->flora->hash,
            $today,
            $clearance->until,
            $inputs,
            $engine,
            $number,
            $previous,
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

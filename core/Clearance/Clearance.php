<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Reason\Reason;

/** The decision: an answer with the nine points behind it. */
final readonly class Clearance
{
    /**
     * @param Reason                  $because the nearest reason
     * @param list<PointReport>       $points  all nine, in their order
     * @param \DateTimeImmutable|null $until   last day it holds; set only where it is cleared
     */
    public function __construct(
        public Answer $answer,
        public Reason $because,
        public array $points,
        public ?\DateTimeImmutable $until,
    ) {
    }

    /** @param string $id of one of the nine, e.g. `required-features` */
    public function point(string $id): PointReport
    {
        foreach ($this->points as $point) {
            if ($point->point === $id) {
                return $point;
            }
        }
        throw new \LogicException(\sprintf('The gate has no point "%s".', $id));
    }

    public function isCleared(): bool
    {
        return Answer::Cleared === $this->answer;
    }

    /**
     * The first point that is not met, broken ones before open ones, and what can be waited for after what cannot; none
     * where all are met. What the people lack comes last: a learner still wants to know what to look at next.
     *
     * @param list<PointReport> $points
     */
    public static function nearestOf(array $points): ?PointReport
    {
        $notMet = array_values(array_filter($points, static fn (PointReport $point): bool => !$point->isMet()));
        usort($notMet, static fn (PointReport $a, PointReport $b): int => self::distance($a) <=> self::distance($b));

        return $notMet[0] ?? null;
    }

    public function nearest(): ?PointReport
    {
        return self::nearestOf($this->points);
    }

    private static function distance(PointReport $point): int
    {
        return match (true) {
            'people' === $point->point => 3,
            PointStatus::Open === $point->status => 2,
            'part-and-condition' === $point->point => 1,
            default => 0,
        };
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** The decision: an answer with the nine points behind it. */
final readonly class Clearance
{
    /**
     * @param string                  $because the nearest reason, one sentence
     * @param list<PointReport>       $points  all nine, in their order
     * @param \DateTimeImmutable|null $until   last day it holds; set only where it is cleared
     */
    public function __construct(public Answer $answer, public string $because, public array $points, public ?\DateTimeImmutable $until)
    {
    }

    public function isCleared(): bool
    {
        return Answer::Cleared === $this->answer;
    }

    /** The first point that is not met, broken ones before open ones; none where all are met. */
    public function nearest(): ?PointReport
    {
        foreach ([PointStatus::Broken, PointStatus::Open] as $status) {
            foreach ($this->points as $point) {
                if ($point->status === $status) {
                    return $point;
                }
            }
        }

        return null;
    }
}

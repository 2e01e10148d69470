<?php

declare(strict_types=1);

namespace App\Batches\Input;

use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What became of a step. */
final readonly class StepDone
{
    /**
     * @param bool       $started  it has begun; its timer runs
     * @param bool       $done     it is finished
     * @param int|null   $minutes  until somebody is to look after it; none: as the recipe says
     * @param float|null $gramsIn  as weighed before
     * @param float|null $gramsOut as weighed after
     * @param bool       $leftOut  it was not done, and counts as done
     * @param string     $note     what was done otherwise, how it tasted, what was thrown away
     */
    public function __construct(
        public bool $started,
        public bool $done = false,
        #[Assert\Range(min: 1, max: 2_000_000)] public ?int $minutes = null,
        #[Assert\Range(min: 0, max: 10_000_000)] public ?float $gramsIn = null,
        #[Assert\Range(min: 0, max: 10_000_000)] public ?float $gramsOut = null,
        #[Assert\Length(max: 1000)] #[PlainText] public string $note = '',
        public bool $leftOut = false,
    ) {
    }
}

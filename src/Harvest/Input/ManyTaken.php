<?php

declare(strict_types=1);

namespace App\Harvest\Input;

use App\Harvest\CountBy;
use App\Harvest\Taken;
use App\Web\Input\PlainText;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Processing\Portions;
use Symfony\Component\Validator\Constraints as Assert;

/** What several trees gave in one go. */
final readonly class ManyTaken
{
    /**
     * @param list<TreeTaken> $trees     one after the other
     * @param AmountUnit      $unit      unit of measure of all
     * @param string          $ripeness  how ripe, in words
     * @param int             $shareLeft per cent left on each, 0 to 100
     * @param string          $note      what the next person should know
     * @param int|null        $minutes   somebody's time at all of them
     * @param CountBy         $countBy   how sound ones were told
     * @param bool            $sure      so much, or so little left, was asked about and said once more
     */
    public function __construct(
        #[Assert\Count(min: 1, max: 60, minMessage: 'Say of which trees.')]
        #[Assert\Valid]
        #[Assert\Unique(message: 'A tree stands there twice.', normalizer: [TreeTaken::class, 'which'])]
        public array $trees,
        public AmountUnit $unit,
        #[Assert\Length(max: 200)] #[PlainText] public string $ripeness = '',
        #[Assert\Range(min: 0, max: 100, notInRangeMessage: 'The share left lies between 0 and 100 percent.')]
        public int $shareLeft = 70,
        #[Assert\Length(max: 1000)] #[PlainText] public string $note = '',
        #[Assert\Range(min: 1, max: 10_000)] public ?int $minutes = null,
        public CountBy $countBy = CountBy::Nobody,
        public bool $sure = false,
    ) {
    }

    /** @return iterable<string, Taken> by examination; the time goes to each by what it gave */
    public function each(): iterable
    {
        $minutes =
            null === $this->minutes
                ? []
                : Portions::of($this->minutes, array_map(static fn (TreeTaken $t): float => $t->amount, $this->trees));
        foreach ($this->trees as $i => $tree) {
            yield $tree->examination => new Taken(
                $tree->amount,
                $this->unit,
                $this->ripeness,
                $this->shareLeft,
                $this->note,
                ($minutes[$i] ?? 0) > 0 ? $minutes[$i] : null,
                CountBy::Nobody === $this->countBy ? 0 : $tree->opened,
                CountBy::Nobody === $this->countBy ? 0 : $tree->sound,
                $this->countBy,
                sure: $this->sure,
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/** What it takes before a learner may decide on a part, and for how long he then may. An instructor sets it. */
final readonly class TrustTerms
{
    /**
     * @param int $looks       trees of the kind named right, looked at unbiased, 1 to 99
     * @param int $lookAlikes  trees of a look-alike or of another dangerous kind named right, 0 to 99
     * @param int $traps       practice trees drawn for the part that were something else and were not taken, 0 to 99
     * @param int $months      all of it in so many months, 1 to 36
     * @param int $validMonths so long it is good for, 1 to 36
     *
     * @throws \InvalidArgumentException if one of them is out of its range
     */
    public function __construct(
        public int $looks,
        public int $lookAlikes,
        public int $traps,
        public int $months,
        public int $validMonths,
    ) {
        foreach ([[$looks, 1, 99], [$lookAlikes, 0, 99], [$traps, 0, 99], [$months, 1, 36], [$validMonths, 1, 36]] as [
            $number,
            $least,
            $most,
        ]) {
            if ($number < $least || $number > $most) {
                throw new \InvalidArgumentException(\sprintf('%d is not from %d to %d.', $number, $least, $most));
            }
        }
    }

    /** @return array<string, int> all of it by name, to be kept with what was granted on it */
    public function asNumbers(): array
    {
        return [
            'looks' => $this->looks,
            'lookAlikes' => $this->lookAlikes,
            'traps' => $this->traps,
            'months' => $this->months,
            'validMonths' => $this->validMonths,
        ];
    }

    /** From that day on looks count. */
    public function since(\DateTimeImmutable $today): \DateTimeImmutable
    {
        return $today->modify('-'.$this->months.' months');
    }

    /** Last day of what is granted today. */
    public function until(\DateTimeImmutable $today): \DateTimeImmutable
    {
        return $today->modify('+'.$this->validMonths.' months');
    }
}

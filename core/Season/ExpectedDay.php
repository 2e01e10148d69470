<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** A day that is expected, and how sure: a normal distribution. */
final readonly class ExpectedDay
{
    /** Halves of the intervals that hold eight and nineteen of twenty, in standard deviations. */
    private const EIGHTY = 1.2816;
    private const NINETY_FIVE = 1.96;

    /**
     * @param \DateTimeImmutable $likely midnight, universal time
     * @param float              $spread standard deviation in days, 0 or more
     */
    public function __construct(public \DateTimeImmutable $likely, public float $spread)
    {
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} it lies in it eight times of ten */
    public function eighty(): array
    {
        return $this->around(self::EIGHTY);
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} it lies in it nineteen times of twenty */
    public function ninetyFive(): array
    {
        return $this->around(self::NINETY_FIVE);
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} */
    private function around(float $deviations): array
    {
        $days = (int) round($deviations * $this->spread);

        return [$this->likely->modify("-$days days"), $this->likely->modify("+$days days")];
    }
}

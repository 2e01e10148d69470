<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A day of a year of 365 days, 1 (1 January) to 365 (31 December). 29 February counts as 1 March. */
final readonly class DayOfYear
{
    private const BEFORE = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
    private const LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    private function __construct(public int $number)
    {
    }

    /** There are 365 of them, and a flora holds thousands. */
    private static function known(int $number): self
    {
        /** @var array<self> $known */
        static $known = [];

        return $known[$number] ??= new self($number);
    }

    /** @throws NoSuchDay if the number is not 1 to 365 */
    public static function of(int $number): self
    {
        return $number >= 1 && $number <= 365
            ? self::known($number)
            : throw new NoSuchDay(\sprintf('A day of the year is 1 to 365, not %d.', $number));
    }

    /**
     * @param string $text month and day, `06-14`
     *
     * @throws NoSuchDay if there is no such day
     */
    public static function parse(string $text): self
    {
        if (
            1 !== preg_match('/^(\d\d)-(\d\d)$/', $text, $m)
            || $m[1] < 1
            || $m[1] > 12
            || $m[2] < 1
            || $m[2] > self::LENGTHS[(int) $m[1] - 1]
        ) {
            throw new NoSuchDay(\sprintf('"%s" is no day of the year; write month and day like 06-14.', $text));
        }

        return self::known(self::BEFORE[(int) $m[1] - 1] + (int) $m[2]);
    }

    public static function on(\DateTimeImmutable $date): self
    {
        $month = (int) $date->format('n');
        $day = (int) $date->format('j');

        return self::known(2 === $month && 29 === $day ? 60 : self::BEFORE[$month - 1] + $day);
    }

    /** Later by so many days (earlier if negative), around the turn of the year. */
    public function plus(int $days): self
    {
        return self::known((((($this->number - 1 + $days) % 365) + 365) % 365) + 1);
    }

    /** Days from this day forward to the other, 0 to 364. */
    public function until(self $other): int
    {
        return ($other->number - $this->number + 365) % 365;
    }

    public function month(): int
    {
        $month = 12;
        while (self::BEFORE[$month - 1] >= $this->number) {
            --$month;
        }

        return $month;
    }

    /** Month and day, `06-14`. */
    public function __toString(): string
    {
        $month = $this->month();

        return \sprintf('%02d-%02d', $month, $this->number - self::BEFORE[$month - 1]);
    }

    /** For people: `14 June`. */
    public function words(): string
    {
        return (new \DateTimeImmutable('2027-'.$this))->format('j F');
    }
}

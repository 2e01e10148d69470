<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A stretch of the year, both ends included; it may run over the turn of the year. */
final readonly class Window
{
    private function __construct(public DayOfYear $from, public DayOfYear $to)
    {
    }

    public static function of(DayOfYear $from, DayOfYear $to): self
    {
        /** @var array<self> $known */
        static $known = [];

        return $known[$from->number.' '.$to->number] ??= new self($from, $to);
    }

    public static function wholeYear(): self
    {
        return new self(DayOfYear::of(1), DayOfYear::of(365));
    }

    public function contains(DayOfYear $day): bool
    {
        return $this->from->until($day) <= $this->from->until($this->to);
    }

    /** Length in days, 1 to 365. */
    public function days(): int
    {
        return $this->from->until($this->to) + 1;
    }

    public function words(): string
    {
        return 365 === $this->days() ? 'all year' : $this->from->words().' to '.$this->to->words();
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** How long something takes: from so long to so long. */
final readonly class TimeSpan
{
    private function __construct(public float $least, public float $most, public TimeUnit $unit)
    {
    }

    /**
     * @param string $text `20 min`, `1–2.5 h`, `2–4 weeks`, `6–12 months`; a hyphen may stand for the dash
     *
     * @throws \InvalidArgumentException if it is none, or goes backwards
     */
    public static function parse(string $text): self
    {
        $n = '\d+(?:\.\d+)?';
        if (1 !== preg_match("/^($n)(?:[–-]($n))? (min|h|d|weeks|months)$/Du", $text, $m)) {
            throw new \InvalidArgumentException(\sprintf('"%s" is no time; write it like 20–30 min.', $text));
        }
        [$least, $most] = [(float) $m[1], '' === $m[2] ? (float) $m[1] : (float) $m[2]];

        return $least <= $most && $most > 0
            ? new self($least, $most, TimeUnit::from($m[3]))
            : throw new \InvalidArgumentException(\sprintf('"%s" goes backwards, or takes no time.', $text));
    }

    /** The last day, if it begins on that one: months and weeks go by the calendar. */
    public function latest(\DateTimeImmutable $from): \DateTimeImmutable
    {
        return match ($this->unit) {
            TimeUnit::Months => $from->modify('+'.(int) ceil($this->most).' months'),
            TimeUnit::Weeks => $from->modify('+'.(int) ceil(7 * $this->most).' days'),
            default => $from->modify('+'.(int) ceil($this->mostSeconds() / 86_400).' days'),
        };
    }

    public function leastSeconds(): int
    {
        return (int) round($this->least * $this->unit->inSeconds());
    }

    public function mostSeconds(): int
    {
        return (int) round($this->most * $this->unit->inSeconds());
    }
}

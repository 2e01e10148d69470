<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** Numbers measured or counted on several samples, told in a few figures; all in the unit of the samples. */
final readonly class SampleSummary
{
    private function __construct(
        public int $count,
        public float $least,
        public float $most,
        public float $mean,
        public float $standardDeviation,
    ) {
    }

    /**
     * The standard deviation is that of a sample (divisor n − 1); 0 for a single number.
     *
     * @param list<float> $numbers
     *
     * @throws \InvalidArgumentException if there are none
     */
    public static function of(array $numbers): self
    {
        if ([] === $numbers) {
            throw new \InvalidArgumentException('A summary needs at least one number.');
        }
        $count = \count($numbers);
        $mean = array_sum($numbers) / $count;
        $squares = array_sum(array_map(static fn (float $n): float => ($n - $mean) ** 2, $numbers));

        return new self($count, min($numbers), max($numbers), $mean, $count > 1 ? sqrt($squares / ($count - 1)) : 0.0);
    }

    /**
     * The same in another unit.
     *
     * @param \Closure(float): float $converted linear, without an offset
     */
    public function in(\Closure $converted): self
    {
        return new self(
            $this->count,
            $converted($this->least),
            $converted($this->most),
            $converted($this->mean),
            $converted($this->standardDeviation),
        );
    }

    /** For people: `7`, or `5 to 7, mean 6.3, spread 1.2, on 3`. */
    public function words(): string
    {
        $short = static fn (float $n): string => (string) round($n, abs($n) >= 100 ? 0 : 1);

        return $this->least === $this->most
            ? $short($this->least).($this->count > 1 ? ', on '.$this->count : '')
            : \sprintf(
                '%s to %s, mean %s, spread %s, on %d',
                $short($this->least),
                $short($this->most),
                $short($this->mean),
                $short($this->standardDeviation),
                $this->count,
            );
    }
}

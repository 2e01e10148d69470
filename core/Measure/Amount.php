<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** How much was taken. */
final readonly class Amount
{
    private function __construct(public float $value, public AmountUnit $unit)
    {
    }

    /** @throws \InvalidArgumentException unless the value is more than 0 and at most 100,000 */
    public static function of(float $value, AmountUnit $unit): self
    {
        return $value > 0 && $value <= 100_000
            ? new self($value, $unit)
            : throw new \InvalidArgumentException(
                \sprintf('An amount is more than 0 and at most 100,000; %s is not.', $value),
            );
    }

    public function in(AmountUnit $unit): self
    {
        return new self(($this->value * $this->unit->inBase()) / $unit->inBase(), $unit);
    }

    /** For people, to three figures: `1.25 kg`. */
    public function words(): string
    {
        $figures = $this->value >= 100 ? 0 : ($this->value >= 10 ? 1 : 2);

        return (string) round($this->value, $figures).' '.$this->unit->value;
    }
}

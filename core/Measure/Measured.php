<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/** A length as it was measured: the figure, and how far it may be off (one standard deviation). */
final readonly class Measured
{
    /** @throws \InvalidArgumentException if the error is less than none */
    public function __construct(public Length $length, public Length $error)
    {
        if ($error->metres() < 0.0) {
            throw new \InvalidArgumentException('An error is none, or more.');
        }
    }

    /** Half of what lies between the bounds that hold nineteen times of twenty. */
    public function likely(): Length
    {
        return Length::ofMetres(1.96 * $this->error->metres());
    }
}

<?php

declare(strict_types=1);

namespace App\Reckoning\View;

/** One figure. */
final readonly class FigureFoundView
{
    /**
     * @param FigureName $name  what it is
     * @param float      $least from
     * @param float      $most  to; the same where it is one
     */
    public function __construct(public FigureName $name, public float $least, public float $most)
    {
    }

    public static function one(FigureName $name, float $value): self
    {
        return new self($name, $value, $value);
    }
}

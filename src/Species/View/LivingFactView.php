<?php

declare(strict_types=1);

namespace App\Species\View;

/** One fact of living with a kind. */
final readonly class LivingFactView
{
    /**
     * @param string $what `roots`, `fruit`, `litter`, `pollen`, `limbs`, `pruning` or `fibre`
     * @param string $text in words
     */
    public function __construct(public string $what, public string $text)
    {
    }
}

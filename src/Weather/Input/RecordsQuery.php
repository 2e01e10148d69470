<?php

declare(strict_types=1);

namespace App\Weather\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** How a file of a station is meant. */
final readonly class RecordsQuery
{
    /**
     * @param bool   $run         bring it in; else only say what is in it
     * @param string $temperature c or f
     * @param string $rain        mm or in
     * @param string $wind        ms, kmh, mph or kn
     * @param string $dates       day or month: which comes first where the year comes last
     */
    public function __construct(
        public bool $run = false,
        #[Assert\Choice(['c', 'f'])] public string $temperature = 'c',
        #[Assert\Choice(['mm', 'in'])] public string $rain = 'mm',
        #[Assert\Choice(['ms', 'kmh', 'mph', 'kn'])] public string $wind = 'ms',
        #[Assert\Choice(['day', 'month'])] public string $dates = 'day',
    ) {
    }
}

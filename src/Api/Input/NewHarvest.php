<?php

declare(strict_types=1);

namespace App\Api\Input;

use Hylognosis\Measure\AmountUnit;
use Symfony\Component\Validator\Constraints as Assert;

/** What was taken. */
final readonly class NewHarvest
{
    public function __construct(
        #[Assert\Positive(message: 'Say how much was taken.')]
        public float $amount,
        public AmountUnit $unit,
        #[Assert\Length(max: 200)]
        public string $ripeness = '',
        #[Assert\Range(min: 0, max: 100, notInRangeMessage: 'The share left lies between 0 and 100 percent.')]
        public int $shareLeft = 70,
        #[Assert\Length(max: 1000)]
        public string $note = '',
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Harvest\Input;

use App\Web\Input\PlainText;
use Hylognosis\Measure\AmountUnit;
use Symfony\Component\Validator\Constraints as Assert;

/** A vessel that was weighed with what is carried in it. */
final readonly class NewMeasure
{
    /**
     * @param string $name   what it is called, with what is in it
     * @param float  $amount that is in it, more than 0, in the unit given
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say what it is called.', normalizer: 'trim')]
        #[Assert\Length(max: 60)]
        #[PlainText]
        public string $name,
        #[Assert\Positive(message: 'Say how much is in it.')] #[Assert\LessThanOrEqual(100_000)] public float $amount,
        public AmountUnit $unit,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Harvest\Input;

use App\Web\Input\PlainText;
use Hylognosis\Measure\AmountUnit;
use Symfony\Component\Validator\Constraints as Assert;

/** What was taken. */
final readonly class NewHarvest
{
    /**
     * @param float      $amount    more than 0, in the unit given
     * @param AmountUnit $unit      unit of measure
     * @param string     $ripeness  how ripe, in words
     * @param int        $shareLeft per cent left on the tree, 0 to 100
     * @param string     $note      in a sentence; empty where there is none
     */
    public function __construct(
        #[Assert\Positive(message: 'Say how much was taken.')]
        #[Assert\LessThanOrEqual(100_000, message: 'That is more than anybody carries home; choose a larger unit.')]
        public float $amount,
        public AmountUnit $unit,
        #[Assert\Length(max: 200)]
        #[PlainText]
        public string $ripeness = '',
        #[Assert\Range(min: 0, max: 100, notInRangeMessage: 'The share left lies between 0 and 100 percent.')]
        public int $shareLeft = 70,
        #[Assert\Length(max: 1000)]
        #[PlainText]
        public string $note = '',
    ) {
    }
}

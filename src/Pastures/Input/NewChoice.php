<?php

declare(strict_types=1);

namespace App\Pastures\Input;

use App\Pastures\Choice;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** What is to become of a tree at a pasture, and the reasons held against each other. */
final readonly class NewChoice
{
    /**
     * @param string     $of    id of the tree or of the stand
     * @param string     $shade what its shade is worth there
     * @param string     $fruit what it bears, and what that is worth
     * @param float|null $price of a cubic metre of its wood as it stands, in the user's money
     * @param string     $why   in the decider’s words; may be empty
     */
    public function __construct(
        #[Assert\Uuid(message: 'A tree or a stand is wanted.')]
        public string $of,
        public Choice $choice,
        #[Assert\Length(max: 200)]
        #[PlainText]
        public string $shade = '',
        #[Assert\Length(max: 200)]
        #[PlainText]
        public string $fruit = '',
        #[Assert\Range(min: 0, max: 1_000_000)]
        public ?float $price = null,
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $why = '',
    ) {
    }
}

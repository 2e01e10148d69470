<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** Girth and height of a tree. */
final readonly class NewMeasure
{
    /**
     * @param string     $on     day, YYYY-MM-DD
     * @param float|null $girth  centimetres round the trunk at breast height (1.3 m)
     * @param float|null $height metres
     * @param float|null $lowest metres above ground, of the lowest living twigs
     * @param string     $note   how it was measured
     */
    public function __construct(
        #[Assert\NotBlank]
        #[Day]
        public string $on,
        #[Assert\Range(min: 0.5, max: 4000)]
        public ?float $girth = null,
        #[Assert\Range(min: 0.1, max: 130)]
        public ?float $height = null,
        #[Assert\Range(min: 0, max: 100)]
        public ?float $lowest = null,
        #[Assert\Length(max: 300)]
        #[PlainText]
        public string $note = '',
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Survey\Input;

use App\Web\Input\PlainText;
use Hylognosis\Survey\CountClass;
use Symfony\Component\Validator\Constraints as Assert;

/** Trees that stand together without tags. */
final readonly class StandInput
{
    /**
     * @param string            $label  how it is found again
     * @param string            $of     a kind or a group of the flora one works with; empty: not settled
     * @param list<list<float>> $line   longitude and latitude in degrees, along it; none: nobody has said where
     * @param float|null        $height metres, of the tallest
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say how the stand is found again.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $label,
        public CountClass $count,
        #[Assert\Length(max: 80)]
        public string $of = '',
        #[Assert\Count(max: 200)] #[Assert\All([
            new Assert\NotNull(),
            new Assert\Type('list'),
            new Assert\Count(exactly: 2),
            new Assert\All([
                new Assert\NotNull(),
                new Assert\Type(['int', 'float']),
                new Assert\Range(min: -180, max: 180),
            ]),
        ])]
        public array $line = [],
        #[Assert\Range(min: 0.1, max: 120, notInRangeMessage: 'Trees are 0.1 to 120 m tall.')]
        public ?float $height = null,
    ) {
    }
}

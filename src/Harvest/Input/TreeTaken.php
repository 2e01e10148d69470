<?php

declare(strict_types=1);

namespace App\Harvest\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** What one of several trees gave. */
final readonly class TreeTaken
{
    /**
     * @param string $examination id of the examination that is cleared
     * @param float  $amount      in the unit of all of them
     * @param int    $opened      so many of its were looked at
     * @param int    $sound       of them sound
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $examination,
        #[Assert\Positive(message: 'Say how much was taken.')]
        #[Assert\LessThanOrEqual(100_000, message: 'That is more than anybody carries home; choose a larger unit.')]
        public float $amount,
        #[Assert\Range(min: 0, max: 10_000)] public int $opened = 0,
        #[Assert\Range(min: 0, max: 10_000)]
        #[Assert\LessThanOrEqual(propertyPath: 'opened', message: 'More were sound than were looked at.')]
        public int $sound = 0,
    ) {
    }

    public static function which(mixed $taken): string
    {
        return $taken instanceof self ? $taken->examination : '';
    }
}

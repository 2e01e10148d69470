<?php

declare(strict_types=1);

namespace App\Reckoning\Input;

use Symfony\Component\Validator\Constraints as Assert;

/** A log. */
final readonly class LogQuery
{
    /**
     * @param float $butt   centimetres across, inside the bark
     * @param float $top    centimetres across
     * @param float $length metres
     * @param float $post   metres a post is long
     * @param float $face   centimetres a post is wide
     * @param int   $class  of the heartwood in the ground, 1 to 5; 0: not known
     * @param float $perFoot price of a board foot, in one’s own money
     * @param float $perStacked price of a stacked cubic metre of firewood
     */
    public function __construct(
        #[Assert\Range(min: 1, max: 300)] public float $butt,
        #[Assert\Range(min: 1, max: 300)]
        #[Assert\LessThanOrEqual(propertyPath: 'butt', message: 'No log is thicker at the top than at the butt.')]
        public float $top,
        #[Assert\Range(min: 0.3, max: 30)] public float $length,
        #[Assert\Range(min: 0.3, max: 6)] public float $post = 2.2,
        #[Assert\Range(min: 3, max: 40)] public float $face = 11.0,
        #[Assert\Range(min: 0, max: 5)] public int $class = 0,
        #[Assert\Range(min: 0, max: 10_000)] public float $perFoot = 0.0,
        #[Assert\Range(min: 0, max: 100_000)] public float $perStacked = 0.0,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Flora\NumberRange;
use Hylognosis\Measure\Length;

/** How old a tree may be, by its girth. */
final readonly class TreeAge
{
    /**
     * Diameter at breast height in inches times the growth factor of the kind: a rule of thumb of tree appraisal,
     * International Society of Arboriculture (memory). Slow sites make older trees of the same girth.
     *
     * @param Length      $girth  round the trunk at 1.3 m
     * @param NumberRange $factor years for each inch of diameter
     *
     * @return array{float, float} years, from and to
     */
    public static function of(Length $girth, NumberRange $factor): array
    {
        $inches = $girth->metres() / \M_PI / 0.0254;
        // one figure is no more sure than a fifth
        [$low, $high] =
            $factor->low < $factor->high ? [$factor->low, $factor->high] : [0.8 * $factor->low, 1.2 * $factor->high];

        return [$inches * $low, $inches * $high];
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\Window;

/**
 * When a part may be taken, when its tree is examined for it, and how long that holds. All days are those of the
 * flora's reference place.
 */
final readonly class Timing
{
    /**
     * @param Window          $window        in which it may be taken
     * @param Window|null     $identified    when the tree is examined for it, where that is not when it is taken: sap
     *                                       is marked in summer
     * @param Phenophase|null $follows       what of the tree's year the window moves with; none where it is the whole
     *                                       year
     * @param int             $freshnessDays days an examination holds for it, 1 to 400
     */
    public function __construct(
        public Window $window,
        public ?Window $identified,
        public ?Phenophase $follows,
        public int $freshnessDays,
    ) {
    }
}

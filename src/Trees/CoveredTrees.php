<?php

declare(strict_types=1);

namespace App\Trees;

use App\Account\User;

/**
 * Of which trees somebody must not learn the kind now: they look at them as the second person, or could become that.
 */
interface CoveredTrees
{
    /** @return array<string, true> by id of the tree */
    public function for(User $reader): array;
}

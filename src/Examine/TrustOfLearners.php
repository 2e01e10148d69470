<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use Hylognosis\Clearance\Trust;

/** What learners have earned. Nobody but instructors decides where nothing was granted. */
interface TrustOfLearners
{
    /** What this person may decide on, if anything was granted for the part and was not withdrawn. */
    public function of(User $person, string $taxon, string $part): ?Trust;
}

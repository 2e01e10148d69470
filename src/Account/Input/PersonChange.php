<?php

declare(strict_types=1);

namespace App\Account\Input;

use App\Account\Role;

/** What an instructor changes of somebody. */
final readonly class PersonChange
{
    /** @param bool|null $left true: the account ends, and what was done stays under the name; false: it is taken up again; null leaves it as it is */
    public function __construct(public ?Role $role = null, public ?bool $left = null)
    {
    }
}

<?php

declare(strict_types=1);

namespace App\Trees;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Something that hangs on a tree, and goes with it where two tags turn out to be one tree. */
#[AutoconfigureTag]
interface GoesWithTree
{
    /** To be called in a transaction. */
    public function moved(Specimen $from, Specimen $to): void;
}

<?php

declare(strict_types=1);

namespace App\Examine;

use App\Trees\Specimen;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Is told when a tree's kind was settled, or one more person has signed what he saw there. */
#[AutoconfigureTag]
interface SettledTrees
{
    public function settled(Specimen $tree): void;
}

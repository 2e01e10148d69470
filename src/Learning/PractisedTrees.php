<?php

declare(strict_types=1);

namespace App\Learning;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Is told when somebody has answered a practice tree for the first time. */
#[AutoconfigureTag]
interface PractisedTrees
{
    public function practised(PracticeAnswer $answer): void;
}

<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/** What a learner would do with the part hoped for. */
enum LearnersDecision: string
{
    case Take = 'take';
    case NotYet = 'not-yet';
    case Never = 'never';
}

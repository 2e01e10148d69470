<?php

declare(strict_types=1);

namespace Hylognosis\Wording;

use Hylognosis\Clearance\PointItem;
use Hylognosis\Reason\Reason;

/** Makes sentences of reasons, in one language, for one reader. */
interface Wording
{
    /** @throws \LogicException if the reason is one this language has no sentence for */
    public function sentence(Reason $reason): string;

    /** What a point is called. */
    public function title(string $point): string;

    /** What a line under a point is about, in a word or two. */
    public function label(PointItem $item): string;
}

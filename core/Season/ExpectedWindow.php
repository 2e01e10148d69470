<?php

declare(strict_types=1);

namespace Hylognosis\Season;

/** A window of one year, with how sure its ends are. */
final readonly class ExpectedWindow
{
    /**
     * @param int  $seen    own dates that bear on it
     * @param bool $isFixed it moves with nothing: it is said by the flora, or by law
     */
    public function __construct(
        public ExpectedDay $from,
        public ExpectedDay $to,
        public int $seen,
        public bool $isFixed = false,
    ) {
    }
}

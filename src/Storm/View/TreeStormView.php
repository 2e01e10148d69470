<?php

declare(strict_types=1);

namespace App\Storm\View;

use App\Storm\Ended;
use Hylognosis\Storm\StormFinding;

/** How one tree came through one storm. */
final readonly class TreeStormView
{
    /**
     * @param string            $blewAt  ISO 8601
     * @param float|null        $gust    metres per second
     * @param StormFinding|null $finding null: nobody has looked
     * @param string            $note    what else was said; may be empty
     */
    public function __construct(
        public string $blewAt,
        public ?float $gust,
        public ?StormFinding $finding,
        public string $note,
        public ?Ended $ended,
    ) {
    }
}

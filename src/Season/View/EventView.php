<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Season\SeasonalEvent;

/** Something of its year that was seen on a tree. */
final readonly class EventView
{
    /**
     * @param string        $id          its id
     * @param SeasonalEvent $event       which
     * @param string        $words       in words
     * @param string        $on          day, YYYY-MM-DD
     * @param string        $by          who saw it
     * @param bool          $mayTakeBack whether the reader may
     * @param int|null      $late        days later than the flora expects it there; null where nothing is expected
     */
    public function __construct(
        public string $id,
        public SeasonalEvent $event,
        public string $words,
        public string $on,
        public string $by,
        public bool $mayTakeBack,
        public ?int $late,
    ) {
    }
}

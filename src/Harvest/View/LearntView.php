<?php

declare(strict_types=1);

namespace App\Harvest\View;

/** What somebody learnt the last time, for whoever goes there next. */
final readonly class LearntView
{
    /**
     * @param string   $on      day, YYYY-MM-DD
     * @param string   $by      who took it
     * @param string   $amount  in words, in the reader’s units
     * @param int|null $minutes it took
     * @param string   $note    what the next person should know; may be empty
     */
    public function __construct(
        public string $on,
        public string $by,
        public string $amount,
        public ?int $minutes,
        public string $note,
    ) {
    }
}

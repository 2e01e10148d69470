<?php

declare(strict_types=1);

namespace App\Account\View;

use App\Account\Deed;

/** Something somebody did. */
final readonly class DeedView
{
    /**
     * @param string $id    its id
     * @param string $at    day and time, ISO 8601
     * @param string $by    who did it
     * @param string $what  what was done, in words
     * @param string $about to what; may be empty
     * @param string $note  more of it; may be empty
     */
    public function __construct(
        public string $id,
        public string $at,
        public string $by,
        public string $what,
        public string $about,
        public string $note,
    ) {
    }

    public static function of(Deed $deed): self
    {
        return new self($deed->id, $deed->at->format(\DATE_ATOM), $deed->by->name, $deed->kind->words(), $deed->about, $deed->note);
    }
}

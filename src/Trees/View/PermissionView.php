<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Said;
use App\Trees\SitePermission;
use Hylognosis\Measure\CalendarDay;

/** What an owner said, on a day. */
final readonly class PermissionView
{
    /**
     * @param string       $id     its id
     * @param string       $owner  who said it
     * @param bool         $given  may one take, or not
     * @param list<string> $parts  for what, in words; empty: for everything
     * @param string|null  $until  last day, YYYY-MM-DD; null: no end was named
     * @param string       $saidOn day it was said, YYYY-MM-DD
     * @param string       $note   how much, where it is written down, what else was said
     * @param string       $by     who recorded it
     */
    public function __construct(
        public string $id,
        public string $owner,
        public bool $given,
        public array $parts,
        public ?string $until,
        public Said $said,
        public string $saidOn,
        public string $note,
        public string $by,
    ) {
    }

    /** @param list<string> $parts in words */
    public static function of(SitePermission $p, array $parts): self
    {
        return new self(
            $p->id,
            $p->owner,
            $p->given,
            $parts,
            null === $p->until ? null : CalendarDay::iso($p->until),
            $p->said,
            CalendarDay::iso($p->saidOn),
            $p->note,
            $p->recordedBy->name,
        );
    }
}

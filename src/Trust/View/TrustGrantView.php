<?php

declare(strict_types=1);

namespace App\Trust\View;

/** A trust that was granted. */
final readonly class TrustGrantView
{
    /**
     * @param string              $id          its id
     * @param string              $name        of the learner
     * @param string              $what        kind and part in words
     * @param string              $by          name of who granted it
     * @param string              $on          first day, YYYY-MM-DD
     * @param string              $until       last day, YYYY-MM-DD
     * @param bool                $holds       it holds today
     * @param string|null         $withdrawnOn day it was withdrawn; null: it was not
     * @param string|null         $withdrawnBy name; null with a day: it fell by itself, when a look went wrong
     * @param string              $because     why it was withdrawn; empty where it was not
     * @param array<string, int>  $terms       what was asked then
     * @param list<TrustLookView> $evidence    the looks it rests on
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $what,
        public string $by,
        public string $on,
        public string $until,
        public bool $holds,
        public ?string $withdrawnOn,
        public ?string $withdrawnBy,
        public string $because,
        public array $terms,
        public array $evidence,
    ) {
    }
}

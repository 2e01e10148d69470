<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Library\Reviews;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Review;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Sureness;
use Hylognosis\Measure\CalendarDay;

/** One line of what a taxon never shows. */
final readonly class NeverView
{
    /**
     * @param string           $id        its id
     * @param string           $character id of the character
     * @param string           $forbids   what it never shows, in words
     * @param string           $reason    why, in a sentence
     * @param bool             $doubted   somebody has seen it otherwise: it excludes nothing
     * @param int              $readBy    people who have read it and agreed, beside its author
     * @param list<ReviewView> $reviews   oldest first
     */
    public function __construct(
        public string $id,
        public string $character,
        public Organ $organ,
        public string $forbids,
        public string $reason,
        public Sureness $sure,
        public bool $doubted,
        public int $readBy,
        public array $reviews,
    ) {
    }

    public static function of(Flora $flora, StatedNever $never): self
    {
        return new self(
            $never->id,
            $never->character,
            $flora->character($never->character)->organ,
            Reviews::forbidden($flora, $never),
            $never->reason,
            $never->sureness,
            $never->isDoubted(),
            $never->agreements(),
            array_map(
                static fn (Review $r): ReviewView => new ReviewView(
                    $r->who,
                    CalendarDay::iso($r->on),
                    $r->verdict,
                    $r->note,
                ),
                $never->reviews,
            ),
        );
    }
}

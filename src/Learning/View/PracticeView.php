<?php

declare(strict_types=1);

namespace App\Learning\View;

/** A practice tree, its name covered. */
final readonly class PracticeView
{
    /**
     * @param string                    $code       draws the same tree again
     * @param string                    $flora      by which it is examined
     * @param int                       $month      1 to 12
     * @param string                    $hope       what is hoped for, in words; empty: nothing is taken that month
     * @param list<PracticePlaceView>   $places     on the tree, what each shows
     * @param list<string>              $characters that can be looked at
     */
    public function __construct(
        public string $code,
        public string $flora,
        public int $month,
        public string $hope,
        public array $places,
        public array $characters,
    ) {
    }
}

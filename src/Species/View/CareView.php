<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Health\View\SignView;
use Hylognosis\Range\SpreadWay;

/** Spreading and keeping, living with it, of what it falls ill. */
final readonly class CareView
{
    /**
     * @param list<SpreadWay>      $ways    by what it spreads; none: it is not told to
     * @param string               $harvest what cutting and picking do to its spreading
     * @param string               $cleanup so that it is not carried on
     * @param string               $rareWhy empty: it is not told to be rare
     * @param string               $rareWho who wants to know of one
     * @param string               $native  where it is native within the region; empty: nothing is said
     * @param list<string>         $outside names of the school's places clearly outside: planted there, or escaped
     * @param list<LivingFactView> $living  near house, path and pipe
     * @param list<SignView>       $signs   of illness, looked for on it
     * @param list<string>         $sources where it is said
     */
    public function __construct(
        public array $ways,
        public string $harvest,
        public string $cleanup,
        public string $rareWhy,
        public string $rareWho,
        public string $native,
        public array $outside,
        public array $living,
        public array $signs,
        public array $sources,
    ) {
    }
}

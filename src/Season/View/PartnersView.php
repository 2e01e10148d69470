<?php

declare(strict_types=1);

namespace App\Season\View;

use Hylognosis\Season\Carrier;
use Hylognosis\Season\Partner;

/** Whether a tree has a second one near, where its kind wants one to bear fruit. */
final readonly class PartnersView
{
    /**
     * @param Partner|null      $partner what it wants; null: it bears alone, no kind is held of it, or it is covered
     * @param bool              $enough whether one that serves stands near, as far as is known
     * @param bool              $placed the tree's own position is known: else none can be looked for
     * @param float             $within metres from which pollen reaches it (common practice)
     * @param list<PartnerView> $trees  tagged ones of its kind within that, the nearest first
     */
    public function __construct(
        public ?Partner $partner,
        public ?Carrier $carrier,
        public float $within,
        public bool $placed,
        public bool $enough,
        public array $trees,
    ) {
    }
}

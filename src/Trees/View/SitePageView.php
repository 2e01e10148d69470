<?php

declare(strict_types=1);

namespace App\Trees\View;

use App\Trees\Exposure;
use App\Trees\Light;
use App\Trees\Moisture;
use App\Trees\Soil;

/** A place with everything the gate reads of it, and how it came about. */
final readonly class SitePageView
{
    /**
     * @param string               $rules         what the owner asks of whoever comes, and what one has to know of the place
     * @param list<string>         $protectedTaxa ids of taxa protected here
     * @param list<QuotaView>      $quotas        of this year
     * @param list<PermissionView> $permissions   the last first; that one holds
     * @param list<list<float>>    $boundary      corners, longitude and latitude; none where nobody has drawn it
     * @param list<float>          $entrance      where one goes in, longitude and latitude; none where nobody has said
     * @param list<float>          $car           where the car stays, the same
     * @param int                  $trees         tagged there
     * @param bool                 $mayChange     whether the reader may change it
     */
    public function __construct(
        public SiteView $site,
        public Soil $soil,
        public Light $light,
        public Moisture $moisture,
        public Exposure $exposure,
        public string $rules,
        public array $protectedTaxa,
        public array $quotas,
        public array $permissions,
        public array $boundary,
        public array $entrance,
        public array $car,
        public int $trees,
        public bool $mayChange,
    ) {
    }
}

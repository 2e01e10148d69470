<?php

declare(strict_types=1);

namespace App\Hazards\View;

/** What is said to the poison centre and given to the ambulance. */
final readonly class SwallowedView
{
    /**
     * @param string             $now          ISO 8601
     * @param string             $poisonCentre empty where nobody has entered it
     * @param string             $school       its name
     * @param string             $site         where it happened; empty where nobody has said
     * @param float|null         $latitude     degrees; null where nobody has said
     * @param float|null         $longitude    degrees; null where nobody has said
     * @param list<NearTreeView> $trees        the dangerous and the unknown ones first, then the nearest
     * @param int                $more         of these that are not listed
     * @param list<NearTreeView> $unsettled    may be any tree
     */
    public function __construct(
        public string $now,
        public string $poisonCentre,
        public string $school,
        public string $site,
        public ?float $latitude,
        public ?float $longitude,
        public array $trees,
        public int $more,
        public array $unsettled,
    ) {
    }
}

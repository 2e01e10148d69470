<?php

declare(strict_types=1);

namespace App\Hazards\View;

use Hylognosis\Care\Allergy;
use Hylognosis\Care\DayCaution;

/** The hazards of one place for a group on one day. */
final readonly class DaySheetView
{
    /**
     * @param string            $siteId       id of the place
     * @param string            $site         name of the place
     * @param string            $day          YYYY-MM-DD
     * @param string            $rules        what its owner asks; may be empty
     * @param string            $poisonCentre empty where nobody has entered it
     * @param list<DayCaution>  $cautions that hang on the time of year and on the place
     * @param list<Allergy>     $allergies    told of, without names
     * @param list<DayTreeView> $trees        what harms first
     * @param string|null       $walkedOn     day of the last walk through the place, YYYY-MM-DD; null: never
     */
    public function __construct(
        public string $siteId,
        public string $site,
        public string $day,
        public string $rules,
        public string $poisonCentre,
        public array $cautions,
        public array $allergies,
        public array $trees,
        public ?string $walkedOn,
    ) {
    }
}

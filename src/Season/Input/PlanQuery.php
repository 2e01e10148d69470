<?php

declare(strict_types=1);

namespace App\Season\Input;

use App\Web\Input\Day;
use Symfony\Component\Validator\Constraints as Assert;

/** What a day out is to be. */
final readonly class PlanQuery
{
    /**
     * @param string|null  $day       YYYY-MM-DD; none: the best of the next ten
     * @param list<string> $sites     ids of places; none: all
     * @param list<string> $hopes     what one hopes for, as "taxon/part"; none: anything
     * @param list<string> $skip      ids of trees not to go to
     * @param list<string> $done      ids of trees one has been at already
     * @param float|null   $latitude  of the start and end; none: the entrance of the place, or its car
     * @param float|null   $longitude the same
     * @param float|null   $fromLatitude  of where one is on the way; none: at the start
     * @param float|null   $fromLongitude the same
     * @param string       $zone      time zone of the clock, as Europe/Vienna
     */
    public function __construct(
        #[Day] public ?string $day = null,
        #[Assert\Count(max: 50)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $sites = [],
        #[Assert\Count(max: 50)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 160)])]
        public array $hopes = [],
        #[Assert\Count(max: 200)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $skip = [],
        #[Assert\Count(max: 200)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $done = [],
        #[Assert\Range(min: -90, max: 90)] public ?float $latitude = null,
        #[Assert\Range(min: -180, max: 180)] public ?float $longitude = null,
        #[Assert\Range(min: -90, max: 90)] public ?float $fromLatitude = null,
        #[Assert\Range(min: -180, max: 180)] public ?float $fromLongitude = null,
        #[Assert\Timezone] public string $zone = 'UTC',
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Season\Input;

use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A day out to be kept. */
final readonly class NewPlannedDay
{
    /**
     * @param string       $id    made by whoever keeps it, a UUID: sent twice it is kept once
     * @param string       $day   YYYY-MM-DD
     * @param string       $name  what it is for
     * @param list<string> $sites ids of places; none: all
     * @param list<string> $hopes what one hopes for, as "taxon/part"; none: anything
     * @param list<string> $skip  ids of trees not to go to
     * @param float|null   $latitude  of the start and end; none: the entrance of the place, or its car
     * @param float|null   $longitude the same
     */
    public function __construct(
        #[Assert\NotBlank] #[Assert\Uuid] public string $id,
        #[Assert\NotBlank] #[Day] public string $day,
        #[Assert\Length(max: 120)] #[PlainText] public string $name = '',
        #[Assert\Count(max: 50)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $sites = [],
        #[Assert\Count(max: 50)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 160)])]
        public array $hopes = [],
        #[Assert\Count(max: 200)]
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Uuid()])]
        public array $skip = [],
        #[Assert\Range(min: -90, max: 90)] public ?float $latitude = null,
        #[Assert\Range(min: -180, max: 180)] public ?float $longitude = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Teaching\Input;

use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A day with a group, as it is planned. */
final readonly class GroupDayInput
{
    /**
     * @param string             $day      YYYY-MM-DD
     * @param string             $siteId   where
     * @param string             $name     which group
     * @param list<string>       $people   ids of people of the school
     * @param int                $guests   how many others come
     * @param list<StationInput> $stations in the order they are gone round
     */
    public function __construct(
        #[Day] public string $day = '',
        #[Assert\NotBlank] #[Assert\Uuid] public string $siteId = '',
        #[Assert\NotBlank] #[Assert\Length(max: 120)] #[PlainText] public string $name = '',
        #[Assert\All([new Assert\Uuid()])] #[Assert\Count(max: 60)] public array $people = [],
        #[Assert\Range(min: 0, max: 60)] public int $guests = 0,
        #[Assert\Valid] #[Assert\Count(max: 20)] public array $stations = [],
    ) {
    }
}

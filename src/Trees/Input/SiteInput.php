<?php

declare(strict_types=1);

namespace App\Trees\Input;

use App\Trees\Exposure;
use App\Trees\Light;
use App\Trees\Moisture;
use App\Trees\Soil;
use App\Web\Input\PlainText;
use Symfony\Component\Validator\Constraints as Assert;

/** A place, as it is entered or changed. */
final readonly class SiteInput
{
    /**
     * @param string       $name          what it is called
     * @param float        $latitude      degrees, north above 0
     * @param float        $longitude     degrees, east above 0
     * @param float        $altitude      metres above the sea
     * @param string       $rules         what the owner asks of whoever comes, and what one has to know of the place
     * @param list<string> $protectedTaxa ids of taxa protected here
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Say what the place is called.', normalizer: 'trim')]
        #[Assert\Length(max: 120)]
        #[PlainText]
        public string $name,
        #[Assert\Range(min: -90, max: 90)] public float $latitude,
        #[Assert\Range(min: -180, max: 180)] public float $longitude,
        #[Assert\Range(min: -430, max: 6000)] public float $altitude,
        public Soil $soil = Soil::Unknown,
        public Light $light = Light::Unknown,
        public Moisture $moisture = Moisture::Unknown,
        public Exposure $exposure = Exposure::Unknown,
        #[Assert\Length(max: 1000)] #[PlainText] public string $rules = '',
        #[Assert\All([new Assert\NotNull(), new Assert\Type('string'), new Assert\Length(max: 80)])]
        #[Assert\Count(max: 200)]
        public array $protectedTaxa = [],
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Trees;

use App\Storage\DayType;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Clearance\PlaceRules;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Symfony\Component\Uid\Uuid;

/** A piece of land the school goes to, with what its owner allows. */
#[ORM\Entity(repositoryClass: SiteRepository::class)]
class Site
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true)]
    public ?bool $permission = null;

    #[ORM\Column(type: DayType::NAME, nullable: true)]
    public ?\DateTimeImmutable $permissionUntil = null;

    /** @var list<string> what the permission is for, as "taxon/part"; empty: for everything */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $permissionParts = [];

    #[ORM\Column(length: 200)]
    public string $owner = '';

    /** What the owner asks of whoever comes, and what one has to know of the place. */
    #[ORM\Column(length: 1000, options: ['default' => ''])]
    public string $rules = '';

    #[ORM\Column(length: 8, options: ['default' => ''])]
    public Soil $soil = Soil::Unknown;

    #[ORM\Column(length: 8, options: ['default' => ''])]
    public Light $light = Light::Unknown;

    #[ORM\Column(length: 8, options: ['default' => ''])]
    public Moisture $moisture = Moisture::Unknown;

    #[ORM\Column(length: 4, options: ['default' => ''])]
    public Exposure $exposure = Exposure::Unknown;

    /** Where its weather comes from. */
    #[ORM\Column(length: 12, options: ['default' => ''])]
    public StationKind $station = StationKind::None;

    /** @var list<array{float, float}> its corners, longitude and latitude in degrees; empty where nobody has drawn it */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $boundary = [];

    /** @var array{}|array{float, float} where one goes in, longitude and latitude; empty where nobody has said */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $entrance = [];

    /** @var array{}|array{float, float} where the car stays, the same */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $car = [];

    /** @var list<string> taxon ids protected here */
    #[ORM\Column(type: 'json')]
    public array $protectedTaxa = [];

    /** @var array<string, int> takings allowed per year, by "taxon/part" */
    #[ORM\Column(type: 'json')]
    public array $quotas = [];

    /**
     * @param float $latitude  degrees, WGS 84
     * @param float $longitude degrees, WGS 84
     * @param float $altitude  metres above sea level
     */
    public function __construct(
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column] public float $latitude,
        #[ORM\Column] public float $longitude,
        #[ORM\Column] public float $altitude,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function place(): Place
    {
        return Place::of($this->latitude, $this->longitude, Length::ofMetres($this->altitude));
    }

    /** What its owner and the rules of the place say. */
    public function rules(): PlaceRules
    {
        return new PlaceRules(
            $this->permission,
            $this->permissionUntil,
            $this->permissionParts,
            $this->protectedTaxa,
            $this->quotas,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\School;

use App\Library\FloraLibrary;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Symfony\Component\Uid\Uuid;

/** The school, or somebody who forages alone: there is one in a database. */
#[ORM\Entity(repositoryClass: SchoolRepository::class)]
#[ORM\Table(name: 'school')]
class School
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** Name of the flora whoever joins works with at first. */
    #[ORM\Column(length: 80)]
    public string $flora = FloraLibrary::DEFAULT;

    /** Units whoever joins reads in at first. */
    #[ORM\Column(length: 8)]
    public string $units = 'metric';

    #[ORM\Column(length: 8)]
    public Dates $dates = Dates::DayFirst;

    /** Number of the poison centre of the country, as it is dialled; empty where nobody has entered it. */
    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $poisonCentre = '';

    /** Nobody else is expected: nothing asks for what only groups need. */
    #[ORM\Column]
    public bool $ofOne = false;

    /**
     * @param string $place     name of the place the seasons are told for
     * @param float  $latitude  degrees, WGS 84
     * @param float  $longitude degrees, WGS 84
     * @param float  $altitude  metres above sea level
     */
    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 120)]
        public string $place,
        #[ORM\Column]
        public float $latitude,
        #[ORM\Column]
        public float $longitude,
        #[ORM\Column]
        public float $altitude,
        #[ORM\Column]
        public readonly \DateTimeImmutable $begunAt,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function place(): Place
    {
        return Place::of($this->latitude, $this->longitude, Length::ofMetres($this->altitude));
    }
}

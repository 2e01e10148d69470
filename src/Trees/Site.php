<?php

declare(strict_types=1);

namespace App\Trees;

use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Quota;
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

    #[ORM\Column(length: 10, nullable: true)]
    public ?string $permissionUntil = null;

    #[ORM\Column(length: 200)]
    public string $owner = '';

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
        #[ORM\Column(length: 120)]
        public readonly string $name,
        #[ORM\Column]
        public readonly float $latitude,
        #[ORM\Column]
        public readonly float $longitude,
        #[ORM\Column]
        public readonly float $altitude,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
    }

    public function place(): Place
    {
        return Place::of($this->latitude, $this->longitude, Length::ofMetres($this->altitude));
    }

    /** @param array<string, int> $used takings of this part at this site in this year, by taxon */
    public function terms(string $part, array $used): PlaceTerms
    {
        $quotas = [];
        foreach ($used as $taxon => $times) {
            if (isset($this->quotas[$taxon.'/'.$part])) {
                $quotas[$taxon] = new Quota($this->quotas[$taxon.'/'.$part], $times);
            }
        }

        return new PlaceTerms(
            $this->permission,
            null === $this->permissionUntil ? null : new \DateTimeImmutable($this->permissionUntil, new \DateTimeZone('UTC')),
            $this->protectedTaxa,
            $quotas,
        );
    }
}

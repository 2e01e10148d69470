<?php

declare(strict_types=1);

namespace App\Pastures;

use App\Trees\Site;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Mass;
use Hylognosis\Measure\Window;
use Hylognosis\Position\Area;
use Hylognosis\Stock\Animal;
use Hylognosis\Stock\Herd;

/** Ground that animals graze: its edge, its gate, what grazes there and when. */
#[ORM\Entity(repositoryClass: PastureRepository::class)]
#[ORM\Table(name: 'pasture')]
class Pasture
{
    /** Kinds of animals that chew the cud. */
    private const RUMINANTS = [Animal::Cattle, Animal::Sheep, Animal::Goats];

    #[ORM\Column(name: 'gone_at', nullable: true)]
    public ?\DateTimeImmutable $goneAt = null;

    /**
     * @param string                                $id      made by whoever enters it
     * @param list<array{float, float}>             $corners longitude and latitude, degrees
     * @param array{}|array{float, float}           $gate    longitude and latitude; empty where nobody has said
     * @param float                                 $grams   what one of the animals weighs
     * @param list<array{from: string, to: string}> $grazed  days of the year, MM-DD; none: it may be grazed at any time
     */
    public function __construct(
        #[ORM\Id] #[ORM\Column(length: 36)] public readonly string $id,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column(type: 'json')] public array $corners,
        #[ORM\Column(type: 'json')] public array $gate,
        #[ORM\Column(length: 8)] public Animal $animal,
        #[ORM\Column(name: 'head_count')] public int $number,
        #[ORM\Column] public float $grams,
        #[ORM\Column(type: 'json')] public array $grazed,
    ) {
    }

    public function area(): Area
    {
        return Area::within($this->corners);
    }

    public function herd(): Herd
    {
        return new Herd($this->animal, $this->number, Mass::ofGrams($this->grams));
    }

    public function hasRuminants(): bool
    {
        return \in_array($this->animal, self::RUMINANTS, true);
    }

    /** Whether animals may be there that day. Where nobody has said when, they may. */
    public function isGrazed(DayOfYear $day): bool
    {
        foreach ($this->grazed as $stretch) {
            if (Window::of(DayOfYear::parse($stretch['from']), DayOfYear::parse($stretch['to']))->contains($day)) {
                return true;
            }
        }

        return [] === $this->grazed;
    }
}

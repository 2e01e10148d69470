<?php

declare(strict_types=1);

namespace App\Weather;

use App\Storage\DayType;
use App\Trees\Site;
use Doctrine\ORM\Mapping as ORM;
use Hylognosis\Measure\Temperature;
use Hylognosis\Weather\DailyWeather;
use Symfony\Component\Uid\Uuid;

/** One day of a station, as it was brought in. */
#[ORM\Entity(repositoryClass: StoredDayRepository::class)]
#[ORM\Table(name: 'daily_weather')]
#[ORM\UniqueConstraint(name: 'daily_weather_day', columns: ['site_id', 'day'])]
class StoredDay
{
    #[ORM\Id]
    #[ORM\Column(length: 36)]
    public readonly string $id;

    /** Degrees Celsius. */
    #[ORM\Column]
    public float $least;

    #[ORM\Column]
    public float $greatest;

    /** Millimetres. */
    #[ORM\Column(nullable: true)]
    public ?float $rain;

    /** Metres per second. */
    #[ORM\Column(nullable: true)]
    public ?float $wind;

    #[ORM\Column(nullable: true)]
    public ?float $gust;

    /** Percent. */
    #[ORM\Column(nullable: true)]
    public ?float $humidity;

    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false)] public readonly Site $site,
        DailyWeather $weather,
        #[ORM\Column(type: DayType::NAME)] public readonly \DateTimeImmutable $day,
    ) {
        $this->id = Uuid::v7()->toRfc4122();
        $this->set($weather);
    }

    public function differs(DailyWeather $weather): bool
    {
        return $this->figures() !== (new self($this->site, $weather, $this->day))->figures();
    }

    public function change(DailyWeather $weather): void
    {
        $this->set($weather);
    }

    private function set(DailyWeather $weather): void
    {
        $this->least = $weather->least->celsius;
        $this->greatest = $weather->greatest->celsius;
        $this->rain = $weather->rainMillimetres;
        $this->wind = $weather->windMetresPerSecond;
        $this->gust = $weather->gustMetresPerSecond;
        $this->humidity = $weather->humidityPercent;
    }

    public function weather(): DailyWeather
    {
        return new DailyWeather(
            $this->day,
            Temperature::celsius($this->least),
            Temperature::celsius($this->greatest),
            $this->rain,
            $this->wind,
            $this->gust,
            $this->humidity,
        );
    }

    /** @return list<float|null> */
    private function figures(): array
    {
        return [$this->least, $this->greatest, $this->rain, $this->wind, $this->gust, $this->humidity];
    }
}

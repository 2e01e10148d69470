<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Window;

/** What can be taken of a taxon, when, in what state, after which features, and what to do with it. */
final readonly class Part
{
    /**
     * @param list<string>          $uses
     * @param string                $harmful    why nobody may take it; empty where it may be taken
     * @param Timing|null           $timing     none for a harmful part
     * @param list<Condition>       $conditions
     * @param list<RequiredFeature> $required
     * @param list<LookAlike>       $lookAlikes
     * @param list<SourceReference> $sources
     * @param string                $group      id of the group whose name is enough for this part; empty if the species
     *                                         is needed
     */
    public function __construct(
        public string $id,
        public string $label,
        public array $uses,
        public string $harmful,
        public ?Timing $timing,
        public array $conditions,
        public array $required,
        public array $lookAlikes,
        public Handling $handling,
        public array $sources,
        public string $group = '',
    ) {
    }

    /** The time of year, at the reference place, in which its tree is examined; none for a harmful part. */
    public function examinedIn(): ?Window
    {
        return $this->timing->identified ?? $this->timing?->window;
    }

    /** Days an examination holds for it, at least 1. */
    public function freshnessDays(): int
    {
        return $this->timing->freshnessDays ?? 1;
    }

    /**
     * @return array<int, non-empty-list<DayOfYear>> month, 1 to 12 → the days of it, at the reference place, on which
     *     its tree is examined
     */
    public function daysByMonth(): array
    {
        $days = [];
        $window = $this->examinedIn();
        for ($d = 0; null !== $window && $d < $window->days(); ++$d) {
            $day = $window->from->plus($d);
            $days[$day->month()][] = $day;
        }
        ksort($days);

        return $days;
    }

    /** What it requires of a character; none where it does not ask for it. */
    public function requires(string $character): ?RequiredFeature
    {
        foreach ($this->required as $feature) {
            if ($feature->character === $character) {
                return $feature;
            }
        }

        return null;
    }

    public function condition(string $id): ?Condition
    {
        foreach ($this->conditions as $condition) {
            if ($condition->id === $id) {
                return $condition;
            }
        }

        return null;
    }

    public function lookAlike(string $taxon): ?LookAlike
    {
        foreach ($this->lookAlikes as $lookAlike) {
            if ($lookAlike->taxon === $taxon) {
                return $lookAlike;
            }
        }

        return null;
    }
}

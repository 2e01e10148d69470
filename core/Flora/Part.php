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
     * @param string                $harmful       why nobody may take it; empty where it may be taken
     * @param Window|null           $window        of the year, at the flora's reference place; none for a harmful part
     * @param list<Condition>       $conditions
     * @param list<RequiredFeature> $required
     * @param list<LookAlike>       $lookAlikes
     * @param list<string>          $preparation   steps, in order
     * @param string                $group         id of the group whose name is enough for this part; empty if the species is needed
     * @param int                   $freshnessDays days an examination holds for this part, at least 1
     * @param list<SourceReference> $sources
     * @param string                $yield         what it usually gives, in words
     * @param Window|null           $identified    when the tree is examined for it, where that is not when it is taken: sap is marked in summer
     * @param Phenophase|null       $follows       what of the tree's year its window moves with; none where it is the whole year, or the part is harmful
     * @param int|null              $effort        1 (by the way) to 5 (a day’s work); null where the flora does not say
     */
    public function __construct(
        public string $id,
        public string $label,
        public array $uses,
        public string $harmful,
        public ?Window $window,
        public array $conditions,
        public array $required,
        public array $lookAlikes,
        public array $preparation,
        public string $leave,
        public string $group,
        public int $freshnessDays,
        public array $sources,
        public string $yield = '',
        public ?int $effort = null,
        public ?Window $identified = null,
        public ?Phenophase $follows = null,
    ) {
    }

    /** The time of year, at the reference place, in which its tree is examined; none for a harmful part. */
    public function examinedIn(): ?Window
    {
        return $this->identified ?? $this->window;
    }

    /** @return array<int, non-empty-list<DayOfYear>> month, 1 to 12 → the days of it, at the reference place, on which its tree is examined */
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

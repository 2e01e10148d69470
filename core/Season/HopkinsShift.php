<?php

declare(strict_types=1);

namespace Hylognosis\Season;

use Hylognosis\Flora\Phenophase;
use Hylognosis\Measure\Place;
use Hylognosis\Measure\Window;

/**
 * How many days events of the year move between two places: 4 days per degree of latitude poleward and per 400 ft
 * (121.92 m) of altitude. What waits for warmth (unfolding, flowering, ripening) comes later there; what answers to
 * cold (colouring, leaf fall) comes earlier. The term for longitude holds for North America only and is left out here.
 *
 * Source: A. D. Hopkins, Bioclimatics, USDA Misc. Publ. 280, 1938 (memory).
 */
final readonly class HopkinsShift
{
    /** Beyond so many days the rule is no more than a guess, or a figure was mistyped. */
    public const FARTHEST = 40;

    private const DAYS_PER_DEGREE = 4.0;
    private const DAYS_PER_STEP = 4.0;
    private const STEP_METRES = 121.92;

    private function __construct(private int $days, private bool $turned)
    {
    }

    public static function between(Place $reference, Place $place): self
    {
        return new self(
            (int) round(
                self::DAYS_PER_DEGREE * (abs($place->latitudeDegrees) - abs($reference->latitudeDegrees)) +
                    (self::DAYS_PER_STEP * ($place->altitude->metres() - $reference->altitude->metres())) /
                        self::STEP_METRES,
            ),
            $place->latitudeDegrees * $reference->latitudeDegrees < 0.0,
        );
    }

    /** Days a spring event comes later (negative: earlier) than at the reference place. */
    public function springDays(): int
    {
        return $this->days;
    }

    /** Whether the rule still tells anything: on the same half of the Earth, and not more than 40 days away. */
    public function holds(): bool
    {
        return !$this->turned && abs($this->days) <= self::FARTHEST;
    }

    /**
     * The window at the new place; none where nothing is left of it: up there it does not ripen before the cold.
     *
     * @param Phenophase|null $phase what of the year it moves with; null: with nothing
     */
    public function apply(Window $window, ?Phenophase $phase): ?Window
    {
        if (null === $phase || 0 === $this->days || 365 === $window->days()) {
            return $window;
        }
        [$from, $to] = match ($phase) {
            Phenophase::Leafing, Phenophase::Flowering => [$this->days, $this->days],
            // ripens later up the hill, and is cut short by cold; ends sooner down the hill
            Phenophase::Fruiting => [$this->days, -abs($this->days)],
            Phenophase::InLeaf => [$this->days, -$this->days],
            Phenophase::Leafless => [-$this->days, $this->days],
        };

        return $window->days() - 1 + $to - $from < 0
            ? null
            : Window::of($window->from->plus($from), $window->to->plus($to));
    }
}

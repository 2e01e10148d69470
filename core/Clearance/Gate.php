<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Measure\DayOfYear;
use Hylognosis\Reason\Reason;

/**
 * Closed until proven. All nine points must hold; there is no override. The gate is barred where the taxon or
 * part is itself harmful, or where something dangerous fits at least as well as what is claimed.
 */
final readonly class Gate
{
    /**
     * After a few looks most trees fit alike, and a danger that leads a little says only that it could still be that
     * one. Until so many were taken, at as many organs as breadth asks for, it bars with this lead.
     */
    private const EARLY_LEAD = 10.0;
    private const FULL_SCORES = 6;
    /** Scores before a danger that leads is named as what the tree could still be. */
    private const EARLY_SCORES = 2;
    /** Less than a twentieth more probable is as good as equal, in words. */
    private const BETTER = 1.05;

    /** @return list<Point> the nine points, in their order */
    private static function points(): array
    {
        return [
            new RequiredFeatures(),
            new NoContradiction(),
            new LookAlikesExcluded(),
            new Strength(),
            new Breadth(),
            new PartAndCondition(),
            new PlaceAllows(),
            new People(),
            new Freshness(),
        ];
    }

    public function decide(Dossier $dossier): Clearance
    {
        $reports = array_map(static fn (Point $point): PointReport => $point->judge($dossier), self::points());
        $nearest = Clearance::nearestOf($reports);
        $bar = $this->bar($dossier);

        return match (true) {
            null !== $bar => new Clearance(Answer::Barred, $bar, $reports, null),
            null !== $nearest => new Clearance(
                Answer::Withheld,
                $this->couldStillBe($dossier) ?? $nearest->because,
                $reports,
                null,
            ),
            default => new Clearance(Answer::Cleared, new Reason('cleared'), $reports, $this->until($dossier)),
        };
    }

    /**
     * Whether all points but the named ones are met and nothing bars the gate. For rehearsals, which play one examiner
     * alone; never for a decision.
     *
     * @param list<string> $but ids of points
     */
    public function isOpenBut(Dossier $dossier, array $but): bool
    {
        foreach (self::points() as $point) {
            $report = $point->judge($dossier);
            if (!$report->isMet() && !\in_array($report->point, $but, true)) {
                return false;
            }
        }

        return null === $this->bar($dossier);
    }

    /** Why the gate is barred; null where it is not. */
    private function bar(Dossier $dossier): ?Reason
    {
        if ('' !== $dossier->claim->part->harmful) {
            return PartAndCondition::harmful($dossier->claim);
        }
        $own = $dossier->posteriorOfClaim();
        $scored = \count($dossier->examination()->findings);
        $broad = self::isBroad($dossier);
        foreach ($dossier->openDangers() as $danger) {
            $other = $dossier->identification->posteriorOf($danger->taxon->id);
            if (($broad && $other >= $own) || ($scored >= self::EARLY_SCORES && $other >= self::EARLY_LEAD * $own)) {
                return new Reason($other > self::BETTER * $own ? 'danger-fits-better' : 'danger-fits-as-well', [
                    'taxon' => $danger->taxon->id,
                    'claimed' => $dossier->claim->taxon->id,
                    'severity' => $danger->severity->value,
                ]);
            }
        }

        return null;
    }

    private static function isBroad(Dossier $dossier): bool
    {
        return \count($dossier->examination()->organsOnTheTree()) >= Breadth::ORGANS
            && \count($dossier->examination()->findings) >= self::FULL_SCORES;
    }

    /** The danger that leads while little has been looked at; null where none does. */
    private function couldStillBe(Dossier $dossier): ?Reason
    {
        if (self::isBroad($dossier) || \count($dossier->examination()->findings) < self::EARLY_SCORES) {
            return null;
        }
        $own = $dossier->posteriorOfClaim();
        foreach ($dossier->openDangers() as $danger) {
            if ($dossier->identification->posteriorOf($danger->taxon->id) >= $own) {
                return new Reason('danger-could-still-be', [
                    'taxon' => $danger->taxon->id,
                    'claimed' => $dossier->claim->taxon->id,
                    'severity' => $danger->severity->value,
                ]);
            }
        }

        return null;
    }

    private function until(Dossier $dossier): \DateTimeImmutable
    {
        $days = '+'.$dossier->claim->part->freshnessDays().' days';
        $ends = [$dossier->examination()->date->modify($days)];
        $confirmed = array_map(
            static fn (SecondLook $second): \DateTimeImmutable => $second->identification->examination->date->modify(
                $days,
            ),
            (new People())->confirming($dossier),
        );
        if ([] !== $confirmed) {
            $ends[] = max($confirmed); // any one of them is enough
        }
        if (null !== $dossier->terms->validUntil) {
            $ends[] = $dossier->terms->validUntil;
        }
        $window = $dossier->phenology->window($dossier->claim->part);
        if (null !== $window && $window->days() < 365) {
            $ends[] = $dossier->decidedOn->modify(
                '+'.DayOfYear::on($dossier->decidedOn)->until($window->to).' days',
            );
        }

        return min($ends);
    }
}

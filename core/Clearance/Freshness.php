<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

/** Point 9. The examination is of this specimen, and no older than the part allows. */
final readonly class Freshness implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $allowed = $dossier->claim->part->freshnessDays;
        $age = self::ageInDays($dossier);
        [$status, $because, $change] = match (true) {
            !$dossier->sameSpecimen => [PointStatus::Broken, 'The examination was made on another tree.', 'Examine the tree the part is to be taken from.'],
            $age < 0 => [PointStatus::Broken, 'The examination is dated after the decision.', 'Correct the date.'],
            $age > $allowed => [PointStatus::Broken, \sprintf('The examination is %d days old; for this part it holds %d.', $age, $allowed), 'Examine the tree again.'],
            default => [PointStatus::Met, 0 === $age ? 'Examined the same day.' : \sprintf('Examined %d days before; for this part it holds %d.', $age, $allowed), ''],
        };

        return new PointReport('freshness', 'Freshness', $status, $because, $change);
    }

    private static function ageInDays(Dossier $dossier): int
    {
        $days = static fn (\DateTimeImmutable $date): int => intdiv((int) strtotime($date->format('Y-m-d').' 12:00:00 UTC'), 86400);

        return $days($dossier->decidedOn) - $days($dossier->examination()->date);
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Reason\Reason;

/** Point 9. The examination is of this specimen, and no older than the part allows. */
final readonly class Freshness implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $allowed = $dossier->claim->part->freshnessDays();
        $age = CalendarDay::between($dossier->examination()->date, $dossier->decidedOn);
        [$status, $code, $change] = match (true) {
            !$dossier->sameSpecimen => [PointStatus::Broken, 'another-tree', 'examine-this-tree'],
            $age < 0 => [PointStatus::Broken, 'dated-after', 'correct-the-date'],
            $age > $allowed => [PointStatus::Broken, 'too-old', 'examine-again'],
            default => [PointStatus::Met, 0 === $age ? 'same-day' : 'fresh', null],
        };

        return new PointReport(
            'freshness',
            $status,
            new Reason($code, ['age' => $age, 'allowed' => $allowed]),
            null === $change ? null : new Reason($change),
        );
    }
}

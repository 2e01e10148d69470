<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Measure\DayOfYear;

/** Point 7. Permission is recorded and valid, the taxon is not protected here, and the quota is not used up. */
final readonly class PlaceAllows implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        $terms = $dossier->terms;
        $taxon = $dossier->claim->taxon;
        [$status, $because, $change] = match (true) {
            $taxon->status->protected => [PointStatus::Broken, ucfirst($taxon->commonName()).' is protected in this region.', 'Nothing here: the law comes first.'],
            \in_array($taxon->id, $terms->protectedTaxa, true) => [PointStatus::Broken, ucfirst($taxon->commonName()).' is protected at this place.', 'Ask those who look after the place; until then leave it.'],
            false === $terms->permission => [PointStatus::Broken, 'The owner has not given permission.', 'Ask the owner, or take it elsewhere.'],
            null === $terms->permission => [PointStatus::Open, 'No permission is recorded for this place.', 'Ask the owner and record the answer with the site.'],
            null !== $terms->validUntil && $terms->validUntil->format('Y-m-d') < $dossier->decidedOn->format('Y-m-d') => [PointStatus::Broken, 'The permission ended on '.$terms->validUntil->format('j F Y').'.', 'Have it renewed.'],
            null !== $terms->takingsAllowed && $terms->takingsUsed >= $terms->takingsAllowed => [PointStatus::Broken, \sprintf('The quota of this place is used up: %d of %d this year.', $terms->takingsUsed, $terms->takingsAllowed), 'Leave it until next year.'],
            default => [PointStatus::Met, 'Permission is recorded and valid. Local law comes first all the same.', ''],
        };

        $usedUp = PointStatus::Broken === $status && str_starts_with($because, 'The quota');

        return new PointReport('place', 'Place', $status, $because, $change, when: $usedUp ? DayOfYear::of(1) : null);
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Identification\Identification;
use Hylognosis\Reason\Reason;

/**
 * Point 4. The claimed taxon (or its group, where the part allows one) leads with a probability of 0.95 or more,
 * something this flora does not hold has 0.02 or less, and the leader explains what was seen.
 */
final readonly class Strength implements Point
{
    public const MOST_UNLISTED = 0.02;

    public function judge(Dossier $dossier): PointReport
    {
        $posterior = $dossier->posteriorOfClaim();
        [$status, $code, $change] = match (true) {
            [] === $dossier->examination()->findings => [
                PointStatus::Open,
                'nothing-scored',
                'start-with-the-next-look',
            ],
            !$this->leads($dossier) => [PointStatus::Open, 'another-leads', 'let-go-of-the-hunch'],
            !$dossier->identification->hasGoodFit() => [PointStatus::Open, 'poor-fit', 'perhaps-not-in-this-flora'],
            $posterior < Identification::LEAD => [PointStatus::Open, 'thin-lead', 'part-it-from-the-runner-up'],
            $dossier->identification->unlisted > self::MOST_UNLISTED => [
                PointStatus::Open,
                'perhaps-unlisted',
                'score-what-few-share',
            ],
            default => [PointStatus::Met, 'leads', null],
        };

        return new PointReport(
            'strength',
            $status,
            new Reason($code, [
                'taxon' => $dossier->claim->taxon->id,
                'leader' => $dossier->identification->leader()->taxon,
                'posterior' => $posterior,
                'needed' => Identification::LEAD,
                'unlisted' => $dossier->identification->unlisted,
                'most' => self::MOST_UNLISTED,
            ]),
            null === $change ? null : new Reason($change),
        );
    }

    private function leads(Dossier $dossier): bool
    {
        return $dossier->claim->isMetBy($dossier->flora(), $dossier->identification->leader()->taxon);
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Identification\Identification;

/**
 * Point 4. The claimed taxon (or its group, where the part allows one) leads with a probability of 0.95 or more,
 * something this flora does not hold has 0.02 or less, and the leader explains what was seen.
 */
final readonly class Strength implements Point
{
    public const MOST_UNLISTED = 0.02;

    public function judge(Dossier $dossier): PointReport
    {
        $identification = $dossier->identification;
        $posterior = $dossier->posteriorOfClaim();
        $leader = $identification->leader()->taxon;
        $leads = $dossier->claim->isMetBy($dossier->flora(), $leader);
        $name = $dossier->claim->taxon->commonName();
        [$status, $because, $change] = match (true) {
            [] === $dossier->examination()->findings => [PointStatus::Open, 'Nothing has been scored yet.', 'Start with what the next look suggests.'],
            !$leads => [PointStatus::Open, \sprintf('%s explains what was seen better than %s.', ucfirst($dossier->flora()->taxon($leader)->commonName()), $name), 'Let go of the hunch, or look again at what speaks against it.'],
            !$identification->hasGoodFit() => [PointStatus::Open, 'Even the best candidate explains what was seen badly.', 'It may be a tree this flora does not hold. Look again at the odd features.'],
            $posterior < Identification::LEAD => [PointStatus::Open, \sprintf('%s has a probability of %s; %s is needed.', ucfirst($name), self::percent($posterior), self::percent(Identification::LEAD)), 'Score more of what parts it from the runner-up.'],
            $identification->unlisted > self::MOST_UNLISTED => [PointStatus::Open, \sprintf('Something this flora does not hold still has %s; %s at most is allowed.', self::percent($identification->unlisted), self::percent(self::MOST_UNLISTED)), 'Score more features that few trees share.'],
            default => [PointStatus::Met, \sprintf('%s leads with %s and explains what was seen.', ucfirst($name), self::percent($posterior)), ''],
        };

        return new PointReport('strength', 'Strength', $status, $because, $change);
    }

    private static function percent(float $share): string
    {
        return match (true) {
            $share > 0.9995 => 'over 99.9 %',
            $share >= 0.995 || ($share < 0.1 && $share > 0.0) => rtrim(rtrim(\sprintf('%.1f', $share * 100), '0'), '.').' %',
            default => \sprintf('%d %%', floor($share * 100)),
        };
    }
}

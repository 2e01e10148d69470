<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Severity;
use Hylognosis\Identification\Danger;
use Hylognosis\Identification\Identification;

/**
 * Point 8. The examiner may decide: a learner's examination never clears. Where a listed or still compatible
 * look-alike is deadly, a second examiner, who has not seen the first one's scores, reaches the same taxon and meets
 * the first three points alone.
 */
final readonly class People implements Point
{
    public function judge(Dossier $dossier): PointReport
    {
        if (!$dossier->examination()->examiner->mayDecide()) {
            return $this->report(PointStatus::Broken, 'A learner’s examination never clears.', 'Ask an instructor to examine the tree.');
        }
        if (!$this->needsSecond($dossier)) {
            return $this->report(PointStatus::Met, 'The examiner may decide; no deadly look-alike calls for a second one.', '');
        }
        $second = $dossier->second;
        if (null === $second) {
            return $this->report(PointStatus::Open, 'A deadly look-alike: a second examiner is needed, who has not seen these scores.', 'Sign, and ask another instructor to examine the tree blind.');
        }
        $own = $dossier->seenBySecond($second);

        return match (true) {
            !$second->blind => $this->report(PointStatus::Open, 'The second examiner had seen the first scores.', 'Ask somebody who has not.'),
            !$own->examination()->examiner->mayDecide() => $this->report(PointStatus::Open, 'The second examiner may not decide.', 'Ask another instructor.'),
            !$this->isFresh($own) => $this->report(PointStatus::Open, 'The second examination is too old.', 'Have it made again.'),
            !$dossier->claim->isMetBy($dossier->flora(), $own->identification->leader()->taxon) || $own->posteriorOfClaim() < Identification::LEAD => $this->report(PointStatus::Broken, 'The second examiner does not reach the same taxon.', 'Look at the tree together, and start again if it stays so.'),
            !(new RequiredFeatures())->judge($own)->isMet() => $this->report(PointStatus::Open, 'The second examiner has not met every required feature.', 'The second examination has to be finished.'),
            !(new NoContradiction())->judge($own)->isMet() => $this->report(PointStatus::Broken, 'The second examiner saw something this taxon never shows.', 'Look at it together.'),
            !(new LookAlikesExcluded())->judge($own)->isMet() => $this->report(PointStatus::Open, 'The second examiner has not excluded every danger.', 'The second examination has to be finished.'),
            default => $this->report(PointStatus::Met, 'A second examiner reached the same taxon, blind.', ''),
        };
    }

    public function needsSecond(Dossier $dossier): bool
    {
        foreach ($dossier->claim->part->lookAlikes as $lookAlike) {
            if (Severity::Deadly === $lookAlike->severity) {
                return true;
            }
        }

        return [] !== array_filter($dossier->openDangers(), static fn (Danger $danger): bool => Severity::Deadly === $danger->severity);
    }

    private function isFresh(Dossier $second): bool
    {
        return (new Freshness())->judge($second)->isMet();
    }

    private function report(PointStatus $status, string $because, string $change): PointReport
    {
        return new PointReport('people', 'People', $status, $because, $change);
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Flora\Severity;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\RequiredList;
use Hylognosis\Reason\Reason;

/**
 * Point 8. The examiner may decide: a learner's examination clears nothing but a part he has earned trust for. Where
 * taking the wrong tree could kill, a second examiner, who knew neither the scores nor the hope, reaches the same taxon
 * and meets the first three points alone. Whoever comes to another conclusion is heard, needed or not, until that is
 * settled on record.
 */
final readonly class People implements Point
{
    /** So many misreadings of required features, and a deadly kind would pass: near enough to call a second person. */
    private const WITHIN = 3;

    public function judge(Dossier $dossier): PointReport
    {
        $examiner = $dossier->examination()->examiner;
        if (!$examiner->mayDecide() && !$this->isTrusted($dossier)) {
            return $this->report(
                PointStatus::Broken,
                null === $dossier->trust ? 'learner-never-clears' : 'trust-does-not-hold',
                'ask-an-instructor',
            );
        }
        $seconds = array_values(
            array_filter($dossier->seconds, static fn (SecondLook $second): bool => !$second->reconsidered),
        );
        foreach ($seconds as $second) {
            if ($this->dissents($dossier->seenBySecond($second))) {
                return $this->report(PointStatus::Broken, 'second-dissents', 'settle-the-dissent');
            }
        }
        if (!$this->needsSecond($dossier)) {
            return $this->report(PointStatus::Met, $examiner->mayDecide() ? 'one-is-enough' : 'trusted-with-this-part');
        }
        $nearest = null;
        foreach ($seconds as $second) {
            $lack = $this->lacking($dossier, $second);
            if (null === $lack) {
                return $this->report(PointStatus::Met, 'second-agrees');
            }
            $nearest ??= $lack;
        }

        return $this->report(PointStatus::Open, $nearest[0] ?? 'second-needed', $nearest[1] ?? 'sign-and-ask');
    }

    /**
     * The looks of second persons the decision leans on: those that reached it, where one is needed.
     *
     * @return list<SecondLook>
     */
    public function confirming(Dossier $dossier): array
    {
        return $this->needsSecond($dossier)
            ? array_values(
                array_filter(
                    $dossier->seconds,
                    fn (SecondLook $second): bool => !$second->reconsidered
                        && null === $this->lacking($dossier, $second),
                ),
            )
            : [];
    }

    /**
     * Whether a deadly kind is listed as a look-alike, is still compatible, or is kept out by three required features
     * or fewer.
     */
    public function needsSecond(Dossier $dossier): bool
    {
        foreach ($dossier->claim->part->lookAlikes as $lookAlike) {
            if (
                Severity::Deadly ===
                Severity::worse($lookAlike->severity, $dossier->flora()->taxon($lookAlike->taxon)->severity())
            ) {
                return true;
            }
        }
        $list = new RequiredList($dossier->identification->compiled, $dossier->claim->part);
        foreach ($dossier->dangers as $danger) {
            if (
                Severity::Deadly === $danger->severity
                && (!$danger->isExcluded() || \count($list->keepingOut($danger->taxon)) <= self::WITHIN)
            ) {
                return true;
            }
        }

        return false;
    }

    /** A second person is never such a learner: where a deadly kind is near it takes two, and the other one decides. */
    private function isTrusted(Dossier $dossier): bool
    {
        return true ===
            $dossier->trust?->covers($dossier->claim, $dossier->examination()->date, $dossier->decidedOn);
    }

    /** Whether the second examiner came to another conclusion; an unfinished examination has come to none. */
    private function dissents(Dossier $own): bool
    {
        $identification = $own->identification;
        $another =
            !$this->reaches($own)
            && \in_array(
                $identification->conclusion(),
                [Conclusion::Named, Conclusion::Between, Conclusion::NoneOfThese],
                true,
            );

        return $another || PointStatus::Broken === (new NoContradiction())->judge($own)->status;
    }

    /** @return array{string, string}|null what keeps this second look from counting, and what would change it */
    private function lacking(Dossier $dossier, SecondLook $second): ?array
    {
        $own = $dossier->seenBySecond($second);

        return match (true) {
            !$second->blind => ['second-not-blind', 'ask-somebody-who-has-not-seen'],
            $second->isACopyOf($dossier->examination()) => ['second-is-a-copy', 'ask-somebody-who-has-not-seen'],
            '' !== $second->person && $second->person === $dossier->person => [
                'second-is-the-same-person',
                'ask-another-instructor',
            ],
            !$own->examination()->examiner->mayDecide() => ['second-may-not-decide', 'ask-another-instructor'],
            !(new Freshness())->judge($own)->isMet() => ['second-too-old', 'have-it-made-again'],
            !$this->reaches($own) => ['second-has-not-reached-it', 'finish-the-second'],
            !(new RequiredFeatures())->judge($own)->isMet() => ['second-lacks-features', 'finish-the-second'],
            !(new NoContradiction())->judge($own)->isMet() => ['second-scores-disagree', 'finish-the-second'],
            !(new LookAlikesExcluded())->judge($own)->isMet() => ['second-leaves-dangers', 'finish-the-second'],
            default => null,
        };
    }

    private function reaches(Dossier $own): bool
    {
        return $own->claim->isMetBy($own->flora(), $own->identification->leader()->taxon)
            && $own->posteriorOfClaim() >= Identification::LEAD;
    }

    private function report(PointStatus $status, string $because, ?string $change = null): PointReport
    {
        return new PointReport('people', $status, new Reason($because), null === $change ? null : new Reason($change));
    }
}

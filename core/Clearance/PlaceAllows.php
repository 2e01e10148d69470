<?php

declare(strict_types=1);

namespace Hylognosis\Clearance;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Reason\Reason;

/**
 * Point 7. The place lies where the flora holds, permission is recorded and valid, and none of the kinds the decision
 * leaves possible is protected here or has its quota used up.
 */
final readonly class PlaceAllows implements Point
{
    /** A kind of the allowed group less probable than this is none the decision leaves possible. */
    private const POSSIBLE = 0.01;

    public function judge(Dossier $dossier): PointReport
    {
        $terms = $dossier->terms;
        $kinds = $this->possibleKinds($dossier);
        $region = ['region' => $dossier->flora()->region->name];
        [$status, $because, $change] =
            $this->protection($dossier, $kinds) ??
            match (true) {
                !$dossier->flora()->region->contains($dossier->phenology->place) => [
                    PointStatus::Broken,
                    new Reason('outside-region', $region),
                    'choose-another-flora',
                ],
                !$dossier->phenology->shift->holds() => [
                    PointStatus::Broken,
                    new Reason('shift-too-far', ['days' => $dossier->phenology->shift->springDays()]),
                    'check-the-place',
                ],
                null !== $terms->lastWord && $terms->lastWord->isOldOn($dossier->decidedOn) => [
                    PointStatus::Open,
                    new Reason('last-word-too-old', [
                        'at' => $terms->lastWord->at->format(\DateTimeInterface::RFC3339),
                    ]),
                    'go-where-the-records-are',
                ],
                false === $terms->permission => [
                    PointStatus::Broken,
                    new Reason('no-permission'),
                    'ask-or-go-elsewhere',
                ],
                null === $terms->permission => [
                    PointStatus::Open,
                    new Reason('permission-not-recorded'),
                    'ask-and-record',
                ],
                !$terms->coversPart => [PointStatus::Open, new Reason('permission-for-other-parts'), 'ask-and-record'],
                null !== $terms->validUntil && CalendarDay::between($terms->validUntil, $dossier->decidedOn) > 0 => [
                    PointStatus::Broken,
                    new Reason('permission-ended', ['on' => CalendarDay::iso($terms->validUntil)]),
                    'have-it-renewed',
                ],
                default => $this->quota($dossier, $kinds) ?? [
                    PointStatus::Met,
                    new Reason(
                        $dossier->flora()->region->isNearBorder($dossier->phenology->place)
                            ? 'permitted-near-border'
                            : 'permitted',
                        $region,
                    ),
                    null,
                ],
            };

        return new PointReport(
            'place',
            $status,
            $because,
            null === $change ? null : new Reason($change),
            when: 'quota-used-up' === $because->code ? DayOfYear::of(1) : null,
        );
    }

    /**
     * The claimed kind, and those of its group, where the name of the group is enough, that it may just as well be.
     *
     * @return list<string>
     */
    private function possibleKinds(Dossier $dossier): array
    {
        return array_values(
            array_filter(
                $dossier->claim->kinds($dossier->flora()),
                static fn (string $id): bool => $id === $dossier->claim->taxon->id
                    || $dossier->identification->posteriorOf($id) >= self::POSSIBLE,
            ),
        );
    }

    /**
     * @param list<string> $kinds
     *
     * @return array{PointStatus, Reason, string}|null
     */
    private function protection(Dossier $dossier, array $kinds): ?array
    {
        foreach ($kinds as $id) {
            if ($dossier->flora()->taxon($id)->status->protected) {
                return [
                    PointStatus::Broken,
                    new Reason('protected-in-region', ['taxon' => $id]),
                    'the-law-comes-first',
                ];
            }
            if (\in_array($id, $dossier->terms->protectedTaxa, true)) {
                return [
                    PointStatus::Broken,
                    new Reason('protected-here', ['taxon' => $id]),
                    'ask-those-who-look-after-it',
                ];
            }
        }

        return null;
    }

    /**
     * @param list<string> $kinds
     *
     * @return array{PointStatus, Reason, string}|null
     */
    private function quota(Dossier $dossier, array $kinds): ?array
    {
        foreach ($kinds as $id) {
            $quota = $dossier->terms->quotas[$id] ?? null;
            if (true === $quota?->isUsedUp()) {
                return [
                    PointStatus::Broken,
                    new Reason('quota-used-up', ['taxon' => $id, 'used' => $quota->used, 'allowed' => $quota->allowed]),
                    'leave-it-until-next-year',
                ];
            }
            if (null !== $quota && null !== $dossier->terms->lastWord) {
                return [
                    PointStatus::Open,
                    new Reason('quota-not-known', [
                        'taxon' => $id,
                        'at' => $dossier->terms->lastWord->at->format(\DateTimeInterface::RFC3339),
                    ]),
                    'go-where-the-records-are',
                ];
            }
        }

        return null;
    }
}

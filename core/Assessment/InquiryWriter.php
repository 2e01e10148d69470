<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Quota;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\Reach;
use Hylognosis\Measure\CalendarDay;

/**
 * Writes an inquiry as an examination document (docs/formats/examination.md), with all the engine was told: read again
 * with the same edition of the flora by {@see InquiryReader}, it gives the same answer.
 */
final readonly class InquiryWriter
{
    /**
     * @param string $flora name of the flora
     *
     * @return array<string, mixed>
     */
    public function write(string $flora, Inquiry $inquiry): array
    {
        $examination = $inquiry->examination;
        $place = $inquiry->place;
        $document = [
            'flora' => $flora,
            'date' => CalendarDay::iso($examination->date),
            'decided_on' => CalendarDay::iso($inquiry->decidedOn),
            'place' => [
                'latitude' => $place->latitudeDegrees,
                'longitude' => $place->longitudeDegrees,
                'altitude_m' => $place->altitude->metres(),
            ],
            'stage' => $examination->stage->value,
            'examiner' => $examination->examiner->value,
            'by' => $inquiry->person,
            'reach' => array_map(static fn (Reach $reach): string => $reach->value, $inquiry->reach),
            'kit' => array_map(static fn (Instrument $instrument): string => $instrument->value, $inquiry->kit),
            'terms' => self::terms($inquiry->terms),
            'observations' => self::observations($examination),
            'seconds' => array_map(self::second(...), $inquiry->seconds),
        ];
        if (null !== $inquiry->trust) {
            $document['trust'] = [
                'taxon' => $inquiry->trust->taxon,
                'part' => $inquiry->trust->part,
                'from' => CalendarDay::iso($inquiry->trust->from),
                'until' => CalendarDay::iso($inquiry->trust->until),
            ];
        }
        if (null !== $inquiry->claim) {
            $document['claim'] = self::claim($inquiry->claim);
        }

        return array_filter($document, static fn (mixed $value): bool => '' !== $value);
    }

    /** @return array<string, mixed> */
    private static function terms(PlaceTerms $terms): array
    {
        return array_filter(
            [
                'permission' => $terms->permission,
                'until' => null === $terms->validUntil ? null : CalendarDay::iso($terms->validUntil),
                'covers_part' => $terms->coversPart,
                'protected' => $terms->protectedTaxa,
                'quotas' => array_map(
                    static fn (Quota $quota): array => ['allowed' => $quota->allowed, 'used' => $quota->used],
                    $terms->quotas,
                ),
                'last_word' => null === $terms->lastWord
                        ? null
                        : [
                            'at' => $terms->lastWord->at->format(\DateTimeInterface::RFC3339),
                            'until' => CalendarDay::iso($terms->lastWord->until),
                        ],
            ],
            static fn (mixed $value): bool => null !== $value && [] !== $value,
        );
    }

    /** @return array<string, mixed> */
    private static function claim(Claim $claim): array
    {
        $conditions = $on = [];
        foreach ($claim->confirmed as $id => $answer) {
            $conditions[$id] = $answer->found;
            $on[$id] = CalendarDay::iso($answer->on);
        }

        return ['taxon' => $claim->taxon->id, 'part' => $claim->part->id] +
            ([] === $conditions ? [] : ['conditions' => $conditions, 'answered_on' => $on]);
    }

    /** @return array<string, mixed> */
    private static function second(SecondExamination $second): array
    {
        return array_filter(
            [
                'examiner' => $second->examination->examiner->value,
                'by' => $second->person,
                'date' => CalendarDay::iso($second->examination->date),
                'blind' => $second->blind,
                'reconsidered' => $second->reconsidered,
                'observations' => self::observations($second->examination),
            ],
            static fn (mixed $value): bool => '' !== $value,
        );
    }

    /** @return list<array<string, mixed>> */
    private static function observations(Examination $examination): array
    {
        $observations = [];
        foreach ([...$examination->findings, ...$examination->takenBack] as $finding) {
            array_push($observations, ...self::ofFinding($finding));
        }
        foreach ($examination->couldNotLook as $character) {
            $observations[] = ['character' => $character, 'answer' => ScoreAnswer::CannotBeSeen->value];
        }

        return $observations;
    }

    /** @return list<array<string, mixed>> */
    private static function ofFinding(Finding $finding): array
    {
        return array_map(
            static fn (Observation $o): array => array_filter(
                [
                    'character' => $o->character->id,
                    'answer' => $o->isNotApplicable() ? ScoreAnswer::DoesNotApply->value : null,
                    'states' => $o->states,
                    'either' => $o->either ? true : null,
                    'numbers' => $o->numbers,
                    'certainty' => $o->certainty->value,
                    'samples' => [] === $o->numbers ? $o->samples : null,
                    'where' => $o->where->value,
                    'position' => $o->character->variation->withHeight ? $o->position->value : null,
                    'further' => $o->look->further ? true : null,
                    'taken_back' => $o->look->takenBack ? true : null,
                    'at' => $o->look->at?->format(\DateTimeInterface::RFC3339),
                ],
                static fn (mixed $value): bool => null !== $value && [] !== $value,
            ),
            $finding->all,
        );
    }
}

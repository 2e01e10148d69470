<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\ConditionAnswer;
use Hylognosis\Clearance\LastWord;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\Quota;
use Hylognosis\Clearance\Trust;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\UnusableScore;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraReader;
use Hylognosis\Flora\Instrument;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\Reach;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;
use Hylognosis\Measure\UnknownUnit;

/** Reads an examination document (docs/formats/examination.md) against a flora. */
final readonly class InquiryReader
{
    private const MOST_TAKEN = 100_000;

    /** @throws DocumentError naming the first place that cannot be taken, and why */
    public function read(Flora $flora, Node $root): Inquiry
    {
        $root->onlyKnows([
            'flora',
            'date',
            'decided_on',
            'place',
            'stage',
            'examiner',
            'by',
            'permission',
            'terms',
            'reach',
            'kit',
            'observations',
            'claim',
            'second',
            'seconds',
            'trust',
        ]);
        $date = $this->date($root, 'date');
        $stage = $root->has('stage') ? $root->word('stage', LifeStage::class) : LifeStage::Mature;
        $decidedOn = $root->has('decided_on') ? $this->date($root, 'decided_on') : $date;

        return new Inquiry(
            $this->examination($flora, $root, $date, $stage),
            $root->has('place') ? FloraReader::place($root->child('place')) : $flora->reference,
            $decidedOn,
            $root->has('claim') ? $this->claim($flora, $root->child('claim'), $decidedOn) : null,
            $root->has('terms')
                ? $this->terms($root)
                : new PlaceTerms($root->has('permission') ? $root->flag('permission', false) : null),
            array_map(fn (Node $second): SecondExamination => $this->second($flora, $second, $date, $stage), [
                ...$root->has('second') ? [$root->child('second')] : [],
                ...$root->children('seconds'),
            ]),
            self::words($root, 'reach', Reach::class, [Reach::Ground, Reach::Hand, Reach::Binoculars, Reach::Cut]),
            self::words($root, 'kit', Instrument::class, Instrument::cases()),
            $root->optionalText('by'),
            trust: $root->has('trust') ? $this->trust($flora, $root->child('trust')) : null,
        );
    }

    /** What a learner has earned. */
    private function trust(Flora $flora, Node $node): Trust
    {
        $node->onlyKnows(['taxon', 'part', 'from', 'until']);
        try {
            $taxon = $flora->taxon($node->text('taxon'));

            return new Trust(
                $taxon->id,
                $taxon->part($node->text('part'))->id,
                $this->date($node, 'from'),
                $this->date($node, 'until'),
            );
        } catch (UnknownEntry $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
    }

    /** What the owner and the rules of the place allow; what is not said there is not allowed. */
    private function terms(Node $root): PlaceTerms
    {
        $node = $root->child('terms');
        $node->onlyKnows(['permission', 'until', 'covers_part', 'protected', 'quotas', 'last_word']);
        if ($root->has('permission')) {
            throw DocumentError::at($node->path, 'stands beside "permission"; say it once.');
        }
        $quotas = [];
        foreach ($node->entries('quotas') as $taxon => $quota) {
            $quota->onlyKnows(['allowed', 'used']);
            $quotas[$taxon] = new Quota(
                $quota->integer('allowed', 0, self::MOST_TAKEN),
                $quota->integer('used', 0, self::MOST_TAKEN),
            );
        }

        return new PlaceTerms(
            $node->has('permission') ? $node->flag('permission', false) : null,
            $node->has('until') ? $this->date($node, 'until') : null,
            $node->has('protected') ? $node->texts('protected') : [],
            $quotas,
            $node->flag('covers_part', true),
            $node->has('last_word') ? $this->lastWord($node->child('last_word')) : null,
        );
    }

    private function lastWord(Node $node): LastWord
    {
        $node->onlyKnows(['at', 'until']);

        return new LastWord($this->moment($node->child('at')), $this->date($node, 'until'));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $vocabulary
     * @param list<T>         $otherwise
     *
     * @return list<T>
     */
    private static function words(Node $root, string $key, string $vocabulary, array $otherwise): array
    {
        return $root->has($key)
            ? array_map(static fn (Node $word): \BackedEnum => $word->asWord($vocabulary), $root->child($key)->items())
            : $otherwise;
    }

    /** Unless it says so, a second look was not blind. */
    private function second(Flora $flora, Node $node, \DateTimeImmutable $date, LifeStage $stage): SecondExamination
    {
        $node->onlyKnows(['examiner', 'by', 'date', 'blind', 'reconsidered', 'observations']);

        return new SecondExamination(
            $this->examination($flora, $node, $node->has('date') ? $this->date($node, 'date') : $date, $stage),
            $node->flag('blind', false),
            $node->optionalText('by'),
            $node->flag('reconsidered', false),
        );
    }

    private function examination(Flora $flora, Node $node, \DateTimeImmutable $date, LifeStage $stage): Examination
    {
        $observations = $couldNotLook = [];
        foreach ($node->child('observations')->items() as $item) {
            $item->onlyKnows([
                'character',
                'states',
                'either',
                'numbers',
                'certainty',
                'samples',
                'where',
                'position',
                'unit',
                'looked',
                'answer',
                'further',
                'taken_back',
                'at',
            ]);
            try {
                $answer = $item->has('answer')
                    ? $item->word('answer', ScoreAnswer::class)
                    : ($item->flag('looked', true)
                        ? ScoreAnswer::Seen
                        : ScoreAnswer::CannotBeSeen);
                if (ScoreAnswer::CannotBeSeen === $answer) {
                    $couldNotLook[] = $flora->character($item->text('character'))->id;
                } else {
                    $observations[] = $this->observation($flora, $item, $answer);
                }
            } catch (UnknownEntry|UnknownUnit $e) {
                throw DocumentError::at($item->path, $e->getMessage());
            } catch (UnusableScore $e) {
                throw DocumentError::at($item->path.'.'.$e->field, $e->getMessage());
            }
        }
        try {
            return Examination::of(
                $date,
                $stage,
                $node->word('examiner', ExaminerRole::class),
                $observations,
                $couldNotLook,
            );
        } catch (UnusableScore $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
    }

    /**
     * @throws UnknownEntry
     * @throws UnknownUnit
     * @throws UnusableScore
     */
    private function observation(Flora $flora, Node $item, ScoreAnswer $answer): Observation
    {
        $character = $flora->character($item->text('character'));
        $certainty = $item->has('certainty') ? $item->word('certainty', Certainty::class) : Certainty::Sure;
        $position = $item->has('position') ? $item->word('position', Position::class) : null;
        $where = $item->has('where') ? $item->word('where', Whereabouts::class) : Whereabouts::Tree;
        $look = new Look(
            $item->flag('further', false),
            $item->has('at') ? $this->moment($item->child('at')) : null,
            $item->flag('taken_back', false),
        );
        $unit = $item->has('unit') ? $item->text('unit') : null;
        $numbers = $item->has('numbers')
            ? array_map(
                static fn (Node $number): float => $character->inOwnUnit(
                    $number->asNumber(0, Observation::LARGEST_NUMBER),
                    $unit,
                ),
                $item->child('numbers')->items(),
            )
            : [];
        $states = $item->has('states') ? $item->texts('states') : [];

        return Observation::of(
            $character,
            $answer,
            $states,
            $numbers,
            $certainty,
            $this->samples($item),
            $where,
            $position,
            $item->flag('either', false),
            $look,
        );
    }

    private function samples(Node $item): int
    {
        return $item->has('samples') ? $item->integer('samples', 1, Observation::MOST_SAMPLES) : 1;
    }

    private function moment(Node $node): \DateTimeImmutable
    {
        $moment = \DateTimeImmutable::createFromFormat(\DateTimeInterface::RFC3339, $node->asText());

        return false !== $moment
            ? $moment
            : throw DocumentError::at(
                $node->path,
                \sprintf('"%s" is no moment; write it like 2027-06-14T10:30:00+02:00.', $node->asText()),
            );
    }

    private function claim(Flora $flora, Node $node, \DateTimeImmutable $decidedOn): Claim
    {
        $node->onlyKnows(['taxon', 'part', 'conditions', 'confirmed_on', 'answered_on']);
        $on = $node->has('confirmed_on') ? $this->date($node, 'confirmed_on') : $decidedOn;
        $confirmed = [];
        foreach ($node->entries('conditions') as $id => $condition) {
            $confirmed[$id] = new ConditionAnswer($condition->asFlag(), $on);
        }
        foreach ($node->entries('answered_on') as $id => $day) {
            if (!isset($confirmed[$id])) {
                throw DocumentError::at($day->path, 'is the day of an answer that is not given.');
            }
            $confirmed[$id] = new ConditionAnswer(
                $confirmed[$id]->found,
                $this->date($node->child('answered_on'), $id),
            );
        }
        try {
            $taxon = $flora->taxon($node->text('taxon'));
            $part = $taxon->part($node->text('part'));
        } catch (UnknownEntry $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
        foreach (array_keys($confirmed) as $id) {
            FloraReader::known(
                array_flip(array_map(static fn ($c): string => $c->id, $part->conditions)),
                $id,
                $node->path.'.conditions.'.$id,
                'condition of this part',
            );
        }

        return new Claim($taxon, $part, $confirmed);
    }

    private function date(Node $node, string $key): \DateTimeImmutable
    {
        try {
            return CalendarDay::parse($node->text($key));
        } catch (NoSuchDay $e) {
            throw DocumentError::at($node->child($key)->path, $e->getMessage());
        }
    }
}

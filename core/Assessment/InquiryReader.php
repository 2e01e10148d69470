<?php

declare(strict_types=1);

namespace Hylognosis\Assessment;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraReader;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\UnknownEntry;

/** Reads an examination document (docs/formats/examination.md) against a flora. */
final readonly class InquiryReader
{
    /** @throws DocumentError naming the first place that cannot be taken, and why */
    public function read(Flora $flora, Node $root): Inquiry
    {
        $root->onlyKnows(['flora', 'date', 'decided_on', 'place', 'stage', 'examiner', 'permission', 'observations', 'claim', 'second']);
        $date = $this->date($root, 'date');
        $stage = $root->has('stage') ? $root->word('stage', LifeStage::class) : LifeStage::Mature;
        $second = null;
        $blind = true;
        if ($root->has('second')) {
            $node = $root->child('second');
            $node->onlyKnows(['examiner', 'date', 'blind', 'observations']);
            $second = $this->examination($flora, $node, $node->has('date') ? $this->date($node, 'date') : $date, $stage);
            $blind = $node->flag('blind', true);
        }

        return new Inquiry(
            $this->examination($flora, $root, $date, $stage),
            $root->has('place') ? FloraReader::place($root->child('place')) : $flora->reference,
            $root->has('decided_on') ? $this->date($root, 'decided_on') : $date,
            $root->has('claim') ? $this->claim($flora, $root->child('claim')) : null,
            new PlaceTerms($root->has('permission') ? $root->flag('permission', false) : null),
            $second,
            $blind,
        );
    }

    private function examination(Flora $flora, Node $node, \DateTimeImmutable $date, LifeStage $stage): Examination
    {
        $observations = $couldNotLook = [];
        foreach ($node->child('observations')->items() as $item) {
            $item->onlyKnows(['character', 'states', 'numbers', 'certainty', 'samples', 'where', 'position', 'unit', 'looked']);
            try {
                if ($item->flag('looked', true)) {
                    $observations[] = $this->observation($flora, $item);
                } else {
                    $couldNotLook[] = $flora->character($item->text('character'))->id;
                }
            } catch (UnknownEntry|\InvalidArgumentException $e) {
                throw DocumentError::at($item->path, $e->getMessage());
            }
        }

        return Examination::of($date, $stage, $node->word('examiner', ExaminerRole::class), $observations, $couldNotLook);
    }

    /**
     * @throws UnknownEntry
     * @throws \InvalidArgumentException
     */
    private function observation(Flora $flora, Node $item): Observation
    {
        $character = $flora->character($item->text('character'));
        $certainty = $item->has('certainty') ? $item->word('certainty', Certainty::class) : Certainty::Sure;
        $position = $item->has('position') ? $item->word('position', Position::class) : null;
        $where = $item->has('where') ? $item->word('where', Whereabouts::class) : Whereabouts::Tree;
        if ($item->has('numbers')) {
            $unit = $item->has('unit') ? $item->text('unit') : null;
            $numbers = array_map(static fn (Node $number): float => $character->inOwnUnit($number->asNumber(0, 10_000), $unit), $item->child('numbers')->items());

            return [] !== $numbers ? Observation::ofNumbers($character, $numbers, $certainty, $where, $position) : throw DocumentError::at($item->path.'.numbers', 'must hold at least one number.');
        }
        $states = $item->texts('states');

        return [] !== $states
            ? Observation::ofStates($character, $states, $certainty, $item->has('samples') ? $item->integer('samples', 1, 200) : 1, $where, $position)
            : throw DocumentError::at($item->path.'.states', 'must hold at least one state, or give numbers instead.');
    }

    private function claim(Flora $flora, Node $node): Claim
    {
        $node->onlyKnows(['taxon', 'part', 'conditions']);
        $confirmed = [];
        foreach ($node->entries('conditions') as $id => $condition) {
            $confirmed[$id] = $condition->asFlag();
        }
        try {
            $taxon = $flora->taxon($node->text('taxon'));
            $part = $taxon->part($node->text('part'));
        } catch (UnknownEntry $e) {
            throw DocumentError::at($node->path, $e->getMessage());
        }
        foreach (array_keys($confirmed) as $id) {
            FloraReader::known(array_flip(array_map(static fn ($c): string => $c->id, $part->conditions)), $id, $node->path.'.conditions.'.$id, 'condition of this part');
        }

        return new Claim($taxon, $part, $confirmed);
    }

    private function date(Node $node, string $key): \DateTimeImmutable
    {
        $text = $node->text($key);
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $date && $date->format('Y-m-d') === $text ? $date : throw DocumentError::at($key, \sprintf('"%s" is no date; write it like 2027-06-14.', $text));
    }
}

<?php

declare(strict_types=1);

namespace App\Field;

use App\Examine\Cover;
use App\Examine\View\ScoreView;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\InquiryReader;
use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\LastWord;
use Hylognosis\Clearance\PlaceRules;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Plausible;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\UnusableScore;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\UnknownUnit;

/**
 * An examination as it was taken along, with what was entered since out of the server's reach. Plain: it is worked on
 * the device itself; the server looks at each entry anew when it arrives.
 */
final class FieldExamination
{
    /** Of one tree on one day, as the server takes it. */
    private const MOST_SCORES = 250;

    /** @var list<ScoreView> */
    private array $scores = [];
    /** @var array<string, string> moment each score was recorded at, by its id */
    private array $recorded = [];
    /** @var array<string, bool> */
    private array $conditions = [];
    /** @var array<string, string> the day each condition was answered on */
    private array $conditionsOn = [];
    private ?string $taxon = null;
    private ?string $part = null;
    private bool $signed;
    private bool $namesCovered;
    private int $harvests = 0;
    /** @var array<string, mixed> what was changed of how it is gone about: stage, route, reach, kit */
    private array $changed = [];

    /** @param string $today YYYY-MM-DD */
    public function __construct(
        private readonly Flora $flora,
        private readonly Node $taken,
        private readonly string $today,
    ) {
        $view = $taken->child('view');
        [$this->signed, $this->namesCovered] = [$view->flag('signed', false), $view->flag('namesCovered', false)];
        foreach ($view->child('scores')->items() as $score) {
            $this->scores[] = $this->score($score, $score->flag('takenBack', false));
        }
        foreach ($taken->entries('recorded') as $id => $at) {
            $this->recorded[$id] = $at->asText();
        }
        foreach ($view->entries('conditions') as $id => $found) {
            $this->conditions[$id] = $found->asFlag();
        }
        foreach ($taken->entries('conditionsOn') as $id => $on) {
            $this->conditionsOn[$id] = $on->asText();
        }
        if ($view->has('claim')) {
            $this->taxon = $view->child('claim')->text('taxon');
            $this->part = $view->child('claim')->text('part');
        }
        foreach ($taken->child('entries')->items() as $entry) {
            $this->enter($entry);
        }
    }

    /**
     * Lays one more entry on it.
     *
     * @throws NotTaken if it cannot be taken, as the server would not take it
     */
    public function enter(Node $entry): void
    {
        $what = $entry->text('do');
        if ($this->signed && !\in_array($what, ['change', 'harvest'], true)) {
            throw new NotTaken(409, 'This examination is signed and cannot be changed. Begin a new one.');
        }
        match ($what) {
            'score' => $this->add($entry->child('body'), $entry->text('at')),
            'take-back', 'restore' => $this->mark($entry->text('score'), 'take-back' === $what),
            'change' => $this->change($entry->child('body')),
            'sign' => $this->sign(),
            'harvest' => ++$this->harvests,
            default => throw new NotTaken(409, 'That can be done only where the server can be reached.'),
        };
    }

    public function isSigned(): bool
    {
        return $this->signed;
    }

    public function cover(): Cover
    {
        return Cover::of(
            $this->taken->child('view')->flag('hopeCovered', false) && !$this->signed,
            $this->namesCovered && !$this->signed,
        );
    }

    /**
     * All the engine is told of it.
     *
     * @throws NotTaken if one of its entries cannot be taken
     */
    public function asked(): Inquiry
    {
        $told = $this->taken->child('told');
        $document = [
            ...$told->asArray(),
            ...array_intersect_key($this->changed, ['stage' => 1, 'reach' => 1, 'kit' => 1]),
            'decided_on' => $this->today,
            'observations' => array_map(
                $this->observed(...),
                array_values(
                    array_filter(
                        $this->scores,
                        static fn (ScoreView $s): bool => !$s->takenBack || ScoreAnswer::CannotBeSeen !== $s->answer,
                    ),
                ),
            ),
        ];
        if (null !== $this->taxon && null !== $this->part) {
            $document['claim'] = [
                'taxon' => $this->taxon,
                'part' => $this->part,
                'conditions' => $this->conditions,
                'answered_on' => $this->conditionsOn,
            ];
        }
        try {
            $inquiry = (new InquiryReader())->read($this->flora, Node::root($document));
        } catch (DocumentError $e) {
            $field =
                preg_replace(['/^observations\[\d+\]$/', '/^observations\[\d+\]\./'], ['character', ''], $e->path) ??
                '';
            throw new NotTaken(422, $e->reason, $field);
        }

        return new Inquiry(
            $inquiry->examination,
            $inquiry->place,
            $inquiry->decidedOn,
            $inquiry->claim,
            $this->terms($inquiry->claim),
            null === $inquiry->claim ? [] : $inquiry->seconds,
            $inquiry->reach,
            $inquiry->kit,
            $inquiry->person,
            Cover::Hope === $this->cover(),
        );
    }

    /** @return array<string, mixed> what it shows of what was entered, the answer of the engine apart */
    public function shown(): array
    {
        return [
            ...$this->taken->child('view')->asArray(),
            ...$this->changed,
            'signed' => $this->signed,
            'namesCovered' => $this->namesCovered && !$this->signed,
            'hopeCovered' => Cover::Hope === $this->cover(),
            'conditions' => (object) (Cover::Hope === $this->cover() ? [] : $this->conditions),
            'scores' => $this->scores,
        ];
    }

    /**
     * What the place allows, as it was known when the server was last heard. Nothing that others do is known here since
     * then.
     */
    private function terms(?Claim $claim): PlaceTerms
    {
        $lastWord = self::lastWord($this->taken->child('lastWord'));
        if (null === $claim) {
            return new PlaceTerms(null, lastWord: $lastWord);
        }
        $node = $this->taken->child('rules');
        $used = [];
        foreach ($claim->kinds($this->flora) as $kind) {
            $known = $node->child('used');
            $times = $known->has($kind.'/'.$claim->part->id)
                ? $known->integer($kind.'/'.$claim->part->id, 0, 100_000)
                : 0;
            $used[$kind] = $times + $this->harvests;
        }

        return self::rules($node)->terms($claim->taxon->id, $claim->part->id, $used, $lastWord);
    }

    public static function lastWord(Node $node): LastWord
    {
        return new LastWord(new \DateTimeImmutable($node->text('at')), CalendarDay::parse($node->text('until')));
    }

    private static function rules(Node $node): PlaceRules
    {
        return new PlaceRules(
            $node->has('permission') ? $node->flag('permission', false) : null,
            $node->has('until') ? CalendarDay::parse($node->text('until')) : null,
            $node->texts('parts'),
            $node->texts('protected'),
            array_map(static fn (Node $times): int => (int) $times->asNumber(0, 100_000), $node->entries('allowed')),
        );
    }

    private function add(Node $body, string $at): void
    {
        $score = $this->score($body, false);
        foreach ($this->scores as $before) {
            if ($before->id === $score->id) {
                return; // the same request, sent again
            }
        }
        $alike = array_filter($this->scores, static fn (ScoreView $s): bool => $s->character === $score->character);
        if (\count($this->scores) >= self::MOST_SCORES || \count($alike) >= Examination::MOST_SCORES) {
            throw new NotTaken(409, 'This has been scored often enough; more says nothing more.');
        }
        $this->scores[] = $score;
        $this->recorded[$score->id] = $at;
    }

    /** @throws NotTaken */
    private function score(Node $body, bool $takenBack): ScoreView
    {
        try {
            $character = $this->flora->character($body->text('character'));
            $unit = $body->has('unit') ? $body->text('unit') : null;
            $numbers = array_map(
                static fn (Node $number): float => $character->inOwnUnit($number->asNumber(0, 1_000_000), $unit),
                $body->has('numbers') ? $body->child('numbers')->items() : [],
            );
        } catch (UnknownEntry $e) {
            throw new NotTaken(422, $e->getMessage(), 'character');
        } catch (UnknownUnit $e) {
            throw new NotTaken(422, $e->getMessage(), 'unit');
        }
        try {
            Plausible::check($this->flora, $character, $numbers);
        } catch (UnusableScore $e) {
            throw new NotTaken(422, $e->getMessage(), $e->field);
        }

        return new ScoreView(
            strtolower($body->text('id')),
            $character->id,
            $body->has('states') ? $body->texts('states') : [],
            $numbers,
            $body->has('certainty') ? $body->word('certainty', Certainty::class) : Certainty::Sure,
            [] !== $numbers ? \count($numbers) : ($body->has('samples') ? $body->integer('samples', 1, 200) : 1),
            $body->has('where') ? $body->word('where', Whereabouts::class) : Whereabouts::Tree,
            $body->has('answer') ? $body->word('answer', ScoreAnswer::class) : ScoreAnswer::Seen,
            $takenBack,
            $body->has('position') ? $body->word('position', Position::class) : null,
            $body->flag('either', false),
            $body->flag('further', false),
        );
    }

    private function mark(string $id, bool $takenBack): void
    {
        foreach ($this->scores as $n => $s) {
            if ($s->id === $id) {
                $this->scores[$n] = $s->marked($takenBack);

                return;
            }
        }
        throw new NotTaken(404, 'There is no such score in this examination.');
    }

    private function change(Node $body): void
    {
        if ($this->signed && ['conditions'] !== array_keys($body->asArray())) {
            throw new NotTaken(409, 'This examination is signed and cannot be changed. Begin a new one.');
        }
        if (
            Cover::Hope === $this->cover()
            && ($body->has('claimTaxon') || $body->has('conditions') || $body->has('dropClaim'))
        ) {
            throw new NotTaken(
                403,
                'You look at this tree as the second person; what is hoped for stays covered until you sign.',
            );
        }
        if ($body->has('date')) {
            throw new NotTaken(409, 'The day can be corrected only where the server can be reached.', 'date');
        }
        foreach (['stage', 'route', 'reach', 'kit'] as $how) {
            if ($body->has($how)) {
                $this->changed[$how] = $body->asArray()[$how];
            }
        }
        if ($body->flag('dropClaim', false)) {
            [$this->taxon, $this->part, $this->conditions, $this->conditionsOn] = [null, null, [], []];
        } elseif ($body->has('claimTaxon') && $body->has('claimPart')) {
            $this->claim($body->text('claimTaxon'), $body->text('claimPart'));
        }
        foreach ($body->has('conditions') ? $body->child('conditions')->asArray() : [] as $id => $found) {
            $this->answer($id, \is_bool($found) ? $found : null);
        }
        if ($body->flag('uncoverNames', false)) {
            $this->namesCovered = false;
        }
    }

    private function claim(string $taxon, string $part): void
    {
        try {
            $this->flora->taxon($taxon)->part($part);
        } catch (UnknownEntry $e) {
            throw new NotTaken(422, $e->getMessage(), 'claimPart');
        }
        if ($this->taxon !== $taxon || $this->part !== $part) {
            $this->conditions = $this->conditionsOn = [];
        }
        [$this->taxon, $this->part] = [$taxon, $part];
    }

    private function answer(string $condition, ?bool $found): void
    {
        $part = null === $this->taxon ? null : $this->flora->taxon($this->taxon)->part((string) $this->part);
        if (null === $part?->condition($condition)) {
            throw new NotTaken(422, \sprintf('"%s" is no condition of this part.', $condition), 'conditions');
        }
        unset($this->conditions[$condition], $this->conditionsOn[$condition]);
        if (null !== $found) {
            [$this->conditions[$condition], $this->conditionsOn[$condition]] = [$found, $this->today];
        }
    }

    private function sign(): void
    {
        if ([] === $this->asked()->examination->findings) {
            throw new NotTaken(409, 'Nothing has been scored yet; there is nothing to sign.');
        }
        $this->signed = true;
    }

    /** @return array<string, mixed> as an examination document has it */
    private function observed(ScoreView $score): array
    {
        if (ScoreAnswer::CannotBeSeen === $score->answer) {
            return ['character' => $score->character, 'answer' => $score->answer->value];
        }

        return array_filter(
            [
                'character' => $score->character,
                'answer' => ScoreAnswer::Seen === $score->answer ? null : $score->answer->value,
                'states' => $score->states,
                'either' => $score->either ? true : null,
                'numbers' => $score->numbers,
                'certainty' => $score->certainty->value,
                'samples' => [] === $score->numbers ? $score->samples : null,
                'where' => $score->where->value,
                'position' => $score->position?->value,
                'further' => $score->further ? true : null,
                'taken_back' => $score->takenBack ? true : null,
                'at' => $this->recorded[$score->id] ?? null,
            ],
            static fn (mixed $value): bool => null !== $value && [] !== $value,
        );
    }
}

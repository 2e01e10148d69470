<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Account\User;
use App\Account\UserRepository;
use App\Clock\SchoolClock;
use App\Examine\DecisionRecord;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\ScoreRecord;
use App\Examine\StoredExaminations;
use App\Harvest\CountBy;
use App\Harvest\HarvestRecord;
use App\Harvest\HarvestRepository;
use App\Harvest\Taken;
use App\Library\FloraLibrary;
use App\Trees\Sex;
use App\Trees\SpecimenRepository;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Clearance\Answer;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\UnusableScore;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\CalendarDay;

/**
 * Brings in examinations, scores and harvests from CSV. What was examined elsewhere is read and never opens a gate; a
 * harvest needs the cleared decision it rests on.
 */
final readonly class SurveyImport
{
    public const EXAMINATIONS = [
        'id',
        'tag',
        'examiner',
        'date',
        'stage',
        'examined_as',
        'flora',
        'flora_hash',
        'claim_taxon',
        'claim_part',
        'signed_at',
        'brought_in',
    ];
    public const SCORES = [
        'id',
        'examination',
        'character',
        'answer',
        'states',
        'either',
        'numbers',
        'certainty',
        'samples',
        'where',
        'position',
        'further',
        'recorded_at',
        'taken_back_at',
    ];
    public const HARVESTS = [
        'id',
        'examination',
        'tag',
        'taken_on',
        'taken_by',
        'taxon',
        'part',
        'amount',
        'unit',
        'ripeness',
        'share_left',
        'note',
        'minutes',
        'opened',
        'sound',
        'count_by',
        'sex',
        'lone',
    ];

    public function __construct(
        private EntityManagerInterface $entities,
        private ExaminationRepository $examinations,
        private HarvestRepository $harvests,
        private SpecimenRepository $specimens,
        private UserRepository $people,
        private StoredExaminations $stored,
        private FloraLibrary $library,
        private SchoolClock $clock,
        private Csv $csv = new Csv(),
    ) {
    }

    /** @throws UnusableFile */
    public function examinations(string $text): ImportPlan
    {
        $plan = new ImportPlan('CSV of examinations');
        $seen = [];
        foreach (
            $this->csv->read($text, ['id', 'tag', 'examiner', 'date', 'flora', 'signed_at'], self::EXAMINATIONS) as ['line' => $line, 'values' => $v]
        ) {
            $r = new RowReader($plan, $line, $v);
            $id = $r->id('id');
            $day = $r->day('date', $this->clock->today());
            $signed = $r->moment('signed_at');
            $tree = $this->specimens->findOneBy(['tag' => $r->text('tag')]);
            $r->want(null !== $tree, 'tag', \sprintf('No tree has the tag "%s".', $r->text('tag')));
            $person = $this->person($r, 'examiner');
            $flora = $this->library->isShipped($r->text('flora')) ? $this->library->flora($r->text('flora')) : null;
            $r->want(null !== $flora, 'flora', \sprintf('"%s" is no shipped flora.', $r->text('flora')));
            $stage = $r->word('stage', LifeStage::class) ?? LifeStage::Mature;
            [$taxon, $part] = [$r->text('claim_taxon'), $r->text('claim_part')];
            if ('' !== $taxon.$part && null !== $flora) {
                $r->want(
                    isset($flora->taxa[$taxon], $flora->taxa[$taxon]->parts[$part]),
                    'claim_taxon',
                    \sprintf('That flora knows no part "%s" of "%s".', $part, $taxon),
                );
            }
            $r->want(!isset($seen[$id]), 'id', 'This examination stands twice in the file.');
            $seen[$id] = true;
            if (
                $r->failed()
                || null === $tree
                || null === $day
                || null === $signed
                || null === $person
                || null === $flora
            ) {
                continue;
            }
            $known = $this->examinations->find($id);
            if (null !== $known) {
                $r->want(
                    $known->specimen === $tree
                        && CalendarDay::iso($known->date) === CalendarDay::iso($day)
                        && $known->examiner === $person,
                    'id',
                    'An examination with this id is known, and it says something else. What is signed is not changed.',
                );
                if (!$r->failed()) {
                    ++$plan->same;
                }
                continue;
            }
            $plan->make($line, 'examination', $tree->tag.', '.CalendarDay::iso($day), function () use (
                $id,
                $tree,
                $person,
                $day,
                $flora,
                $stage,
                $taxon,
                $part,
                $signed,
            ): void {
                $record = new ExaminationRecord(
                    $tree,
                    $person,
                    $day,
                    $flora->name,
                    $flora->hash,
                    $this->clock->now(),
                    $id,
                );
                $record->stage = $stage;
                [$record->claimTaxon, $record->claimPart] = '' === $taxon ? [null, null] : [$taxon, $part];
                $record->bringIn($signed);
                $this->entities->persist($record);
            });
        }

        return $plan;
    }

    /** @throws UnusableFile */
    public function scores(string $text): ImportPlan
    {
        $plan = new ImportPlan('CSV of scores');
        $records = $counts = $seen = [];
        foreach (
            $this->csv->read($text, ['id', 'examination', 'character', 'answer', 'recorded_at'], self::SCORES) as ['line' => $line, 'values' => $v]
        ) {
            $r = new RowReader($plan, $line, $v);
            $id = $r->id('id');
            $examination = $r->id('examination');
            $r->want(!isset($seen[$id]), 'id', 'This score stands twice in the file.');
            $seen[$id] = true;
            if ($r->failed()) {
                continue;
            }
            $record = \array_key_exists($examination, $records)
                ? $records[$examination]
                : ($records[$examination] = $this->examinations->find($examination));
            $known = $this->entities->find(ScoreRecord::class, $id);
            if (null !== $known) {
                $r->want(
                    $known->examination === $record && $known->character === $r->text('character'),
                    'id',
                    'A score with this id is known, and it says something else.',
                );
                if (!$r->failed()) {
                    ++$plan->same;
                }
                continue;
            }
            $r->want(null !== $record, 'examination', 'There is no such examination; bring the examinations in first.');
            $r->want(
                null === $record || $record->broughtIn,
                'examination',
                'That examination was made here and is signed; nothing is added to it.',
            );
            $key = $examination.'/'.$r->text('character');
            $counts[$key] = ($counts[$key] ?? 0) + 1;
            $r->want(
                $counts[$key] <= Examination::MOST_SCORES,
                'character',
                'More than twenty scores of one character say nothing more.',
            );
            $score = null === $record || $r->failed() ? null : $this->score($r, $record, $id);
            if (null !== $record && null !== $score && !$r->failed()) {
                $plan->make($line, 'score', $score->character, function () use ($record, $score): void {
                    $record->scores->add($score);
                    $this->entities->persist($score);
                });
            }
        }

        return $plan;
    }

    private function score(RowReader $r, ExaminationRecord $record, string $id): ?ScoreRecord
    {
        $flora = $this->stored->flora($record);
        $numbers = [];
        foreach ($r->words('numbers') as $number) {
            $r->want(is_numeric($number), 'numbers', \sprintf('"%s" is no number.', mb_substr($number, 0, 30)));
            $numbers[] = (float) $number;
        }
        $at = $r->moment('recorded_at');
        $takenBack = '' === $r->text('taken_back_at') ? null : $r->moment('taken_back_at');
        $score = new ScoreRecord(
            $record,
            $r->text('character'),
            $r->words('states'),
            $numbers,
            $r->word('certainty', Certainty::class) ?? Certainty::Sure,
            [] === $numbers ? $r->integer('samples', 1, 200, 1) : \count($numbers),
            $r->word('where', Whereabouts::class) ?? Whereabouts::Tree,
            $r->word('answer', ScoreAnswer::class) ?? ScoreAnswer::Seen,
            $at ?? $this->clock->now(),
            $r->word('position', Position::class),
            'yes' === $r->text('either'),
            'yes' === $r->text('further'),
            $id,
        );
        $score->takenBackAt = $takenBack;
        if ($r->failed()) {
            return null;
        }
        try {
            $flora->character($score->character);
            if (ScoreAnswer::CannotBeSeen !== $score->answer) {
                StoredExaminations::observation($flora, $score);
            }
        } catch (UnknownEntry $e) {
            $r->want(false, 'character', $e->getMessage());
        } catch (UnusableScore $e) {
            $r->want(false, $e->field, $e->getMessage());
        }

        return $r->failed() ? null : $score;
    }

    /** @throws UnusableFile */
    public function harvests(string $text): ImportPlan
    {
        $plan = new ImportPlan('CSV of harvests');
        $seen = [];
        foreach (
            $this->csv->read(
                $text,
                ['id', 'examination', 'taken_on', 'taken_by', 'taxon', 'part', 'amount', 'unit'],
                self::HARVESTS,
            ) as ['line' => $line, 'values' => $v]
        ) {
            $r = new RowReader($plan, $line, $v);
            $id = $r->id('id');
            $on = $r->day('taken_on', $this->clock->today());
            $record = $this->examinations->find($r->id('examination'));
            $unit = $r->word('unit', AmountUnit::class);
            $amount = $r->number('amount', 0.001, 100_000);
            $person = $this->person($r, 'taken_by');
            $r->want(null !== $unit, 'unit', 'Say in which unit it was measured.');
            $r->want(!isset($seen[$id]), 'id', 'This harvest stands twice in the file.');
            $seen[$id] = true;
            $known = $this->harvests->find($id);
            if (null !== $known) {
                $r->want(
                    $known->decision->examination === $record
                        && null !== $on
                        && CalendarDay::iso($known->takenOn) === CalendarDay::iso($on)
                        && abs($known->taken->amount - $amount) < 1e-6
                        && $known->taken->unit === $unit,
                    'id',
                    'A harvest with this id is known, and it says something else. What was taken is not changed.',
                );
                if (!$r->failed()) {
                    ++$plan->same;
                }
                continue;
            }
            $decision =
                null === $record || null === $on
                    ? null
                    : $this->decision($record, $r->text('taxon'), $r->text('part'), $on);
            $r->want(null !== $record, 'examination', 'There is no such examination.');
            $r->want(
                null === $record || null !== $decision,
                'examination',
                'No cleared decision of that examination stands for this part on that day; a harvest rests on one.',
            );
            if ($r->failed() || null === $decision || null === $on || null === $unit || null === $person) {
                continue;
            }
            $plan->make($line, 'harvest', $r->text('taxon').', '.CalendarDay::iso($on), function () use (
                $decision,
                $person,
                $on,
                $amount,
                $unit,
                $r,
                $id,
            ): void {
                $opened = $r->integer('opened', 0, 10_000, 0);
                $harvest = new HarvestRecord(
                    $decision,
                    $person,
                    $on,
                    new Taken(
                        $amount,
                        $unit,
                        mb_substr($r->text('ripeness'), 0, 200),
                        $r->integer('share_left', 0, 100, 0),
                        mb_substr($r->text('note'), 0, 1000),
                        '' === $r->text('minutes') ? null : $r->integer('minutes', 1, 10_000, 1),
                        $opened,
                        min($opened, $r->integer('sound', 0, 10_000, 0)),
                        CountBy::tryFrom($r->text('count_by')) ?? CountBy::Nobody,
                        Sex::tryFrom($r->text('sex')) ?? Sex::Unknown,
                        '' === $r->text('lone') ? null : '1' === $r->text('lone'),
                    ),
                    $this->clock->now(),
                    $id,
                );
                $this->entities->persist($harvest);
            });
        }

        return $plan;
    }

    /**
     * One examination document: it becomes an examination of the chosen tree, brought in, on record under whoever
     * brings it. The same document is the same examination.
     *
     * @throws UnusableFile
     */
    public function document(string $text, string $treeId, User $by): ImportPlan
    {
        return (new DocumentImport(
            $this->entities,
            $this->examinations,
            $this->specimens,
            $this->library,
            $this->clock,
        ))->plan($text, $treeId, $by);
    }

    private function person(RowReader $r, string $column): ?User
    {
        $found = $this->people->findBy(['name' => $r->text($column)], limit: 2);
        $r->want(
            1 === \count($found),
            $column,
            [] === $found
                ? \sprintf('Nobody here is called "%s". Invite them first.', mb_substr($r->text($column), 0, 60))
                : \sprintf('Several people are called "%s".', mb_substr($r->text($column), 0, 60)),
        );

        return 1 === \count($found) ? $found[0] : null;
    }

    private function decision(
        ExaminationRecord $record,
        string $taxon,
        string $part,
        \DateTimeImmutable $on,
    ): ?DecisionRecord {
        foreach (
            $this->entities
                ->getRepository(DecisionRecord::class)
                ->findBy(
                    ['examination' => $record, 'taxon' => $taxon, 'part' => $part, 'answer' => Answer::Cleared],
                    ['id' => 'DESC'],
                ) as $decision
        ) {
            if ($decision->decidedOn <= $on && (null === $decision->validUntil || $on <= $decision->validUntil)) {
                return $decision;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\ScoreRecord;
use App\Library\FloraLibrary;
use App\Trees\SpecimenRepository;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Assessment\InquiryReader;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonPlaces;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Measure\CalendarDay;
use Symfony\Component\Uid\Uuid;

/** Brings in one examination document (docs/formats/examination.md) as an examination of a tree. */
final readonly class DocumentImport
{
    private const MOST_BYTES = 500_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private ExaminationRepository $examinations,
        private SpecimenRepository $specimens,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    /** @throws UnusableFile with line and column */
    public function plan(string $text, string $treeId, User $by): ImportPlan
    {
        $plan = new ImportPlan('examination document');
        if (\strlen($text) > self::MOST_BYTES) {
            throw UnusableFile::at(0, '', 'The document has more than 500 kB.');
        }
        try {
            $places = JsonPlaces::of($text);
        } catch (DocumentError $error) {
            $where = 1 === preg_match('/^line (\d+), column (\d+)$/D', $error->path, $m) ? $m : [1 => '1', 2 => '1'];
            throw UnusableFile::at((int) $where[1], $where[2], 'That is no JSON: '.$error->reason);
        }
        $tree = $this->specimens->find($treeId);
        if (null === $tree) {
            throw UnusableFile::at(0, '', 'Say of which tree it is.');
        }
        try {
            $root = Node::root(json_decode($text, true, 128));
            $name = $root->optionalText('flora', FloraLibrary::DEFAULT);
            if (!$this->library->isShipped($name)) {
                throw DocumentError::at('flora', \sprintf('"%s" is no shipped flora.', $name));
            }
            $flora = $this->library->flora($name);
            $inquiry = (new InquiryReader())->read($flora, $root);
        } catch (DocumentError $error) {
            [$line, $column] = $places($error->path);
            throw UnusableFile::at(
                $line,
                (string) $column,
                ('' === $error->path ? '' : $error->path.': ').$error->reason,
            );
        }
        $examination = $inquiry->examination;
        if ($examination->date > $this->clock->today()) {
            [$line, $column] = $places('date');
            throw UnusableFile::at($line, (string) $column, 'date: that day is still to come.');
        }
        $id = Uuid::v5(
            Uuid::fromString(Uuid::NAMESPACE_OID),
            $treeId.' '.json_encode(json_decode($text)),
        )->toRfc4122();
        if (null !== $this->examinations->find($id)) {
            ++$plan->same;

            return $plan;
        }
        $plan->make(1, 'examination', $tree->tag.', '.CalendarDay::iso($examination->date), function () use (
            $id,
            $tree,
            $by,
            $flora,
            $inquiry,
        ): void {
            $examination = $inquiry->examination;
            $record = new ExaminationRecord(
                $tree,
                $by,
                $examination->date,
                $flora->name,
                $flora->hash,
                $this->clock->now(),
                $id,
            );
            $record->stage = $examination->stage;
            if (null !== $inquiry->claim) {
                [$record->claimTaxon, $record->claimPart] = [$inquiry->claim->taxon->id, $inquiry->claim->part->id];
            }
            $record->bringIn($this->clock->now());
            $this->entities->persist($record);
            foreach ([...$examination->findings, ...$examination->takenBack] as $finding) {
                foreach ($finding->all as $observation) {
                    $record->scores->add($this->score($record, $observation));
                }
            }
            foreach ($examination->couldNotLook as $character) {
                $record->scores->add(
                    new ScoreRecord(
                        $record,
                        $character,
                        [],
                        [],
                        Certainty::Sure,
                        1,
                        Whereabouts::Tree,
                        ScoreAnswer::CannotBeSeen,
                        $examination->date,
                    ),
                );
            }
        });

        return $plan;
    }

    private function score(ExaminationRecord $record, Observation $o): ScoreRecord
    {
        $score = new ScoreRecord(
            $record,
            $o->character->id,
            $o->states,
            $o->numbers,
            $o->certainty,
            $o->samples,
            $o->where,
            $o->isNotApplicable() ? ScoreAnswer::DoesNotApply : ScoreAnswer::Seen,
            $o->look->at ?? $record->date,
            $o->character->variation->withHeight ? $o->position : null,
            $o->either,
            $o->look->further,
        );
        $score->takenBackAt = $o->look->takenBack ? $this->clock->now() : null;

        return $score;
    }
}

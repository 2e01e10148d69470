<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\View\DecidedView;
use App\Examine\View\KindView;
use App\Examine\View\KnownView;
use App\Examine\View\MissingView;
use App\Examine\View\RestsOnView;
use App\Examine\View\TreeKnownView;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Units;
use Hylognosis\Season\Phenology;
use Hylognosis\Wording\English;

/** Draws together what was seen of one tree over the years. */
final readonly class TreeKnown
{
    public function __construct(
        private ExaminationRepository $examinations,
        private StoredExaminations $stored,
        private EntityManagerInterface $entities,
        private FloraLibrary $library,
        private SchoolClock $clock,
        private TreeIdentities $identities,
        private Covers $covers,
        private Transaction $transaction,
    ) {
    }

    /** @param bool $all open what others saw, too: the reader is no second person for those any more */
    public function of(Specimen $tree, User $reader, bool $all): TreeKnownView
    {
        $signed = array_values(
            array_filter(
                $this->examinations->ofSpecimen($tree, $reader),
                static fn (ExaminationRecord $record): bool => $record->isSigned(),
            ),
        );
        if ($this->covers->hides($tree, $reader)) {
            return new TreeKnownView(true, null, [], [], [], \count($signed));
        }
        if ($all) {
            $this->transaction->run(static function () use ($signed, $reader): void {
                foreach ($signed as $record) {
                    if (!$record->isOpenTo($reader)) {
                        $record->seenBy = [...$record->seenBy, $reader->id];
                    }
                }
            });
        }
        $records = array_values(array_filter($signed, static fn (ExaminationRecord $r): bool => $r->isOpenTo($reader)));
        $decisions = $this->decisions($signed, $reader);
        $known = $this->known($records, $reader);
        $flora = $this->library->flora(
            $tree->kindFlora === $reader->flora || '' === $tree->kindFlora ? $reader->flora : $tree->kindFlora,
        );
        $taxon = $flora->taxa[$tree->kind] ?? null;

        return new TreeKnownView(
            false,
            $this->kind($tree, $flora, $signed),
            $decisions,
            array_values($known),
            null === $taxon ? [] : $this->missing($tree, $flora, $taxon, $this->lookedAt($signed)),
            \count($signed) - \count($records),
        );
    }

    /** @param list<ExaminationRecord> $signed */
    private function kind(Specimen $tree, Flora $flora, array $signed): ?KindView
    {
        $held = '' === $tree->kind ? null : $this->identities->last($tree);
        if (null === $held) {
            return null;
        }
        $by = [];
        foreach ($signed as $record) {
            if (\in_array($record->id, $held->examinations, true)) {
                $by[] = new RestsOnView($record->id, CalendarDay::iso($record->date), $record->examiner->name);
            }
        }
        $taxon = $flora->taxa[$tree->kind] ?? null;

        return new KindView(
            $tree->kind,
            $taxon?->commonName() ?? $tree->kind,
            $taxon->name ?? '',
            $taxon?->severity(),
            $by,
            $held->by->name,
            CalendarDay::iso($held->saidAt),
            $held->doubt,
        );
    }

    /**
     * @param list<ExaminationRecord> $records newest first
     *
     * @return list<DecidedView>
     */
    private function decisions(array $records, User $reader): array
    {
        $decided = [];
        foreach ($records as $record) {
            $flora = $this->stored->flora($record);
            $words = new English($flora, Units::from($reader->units));
            foreach (
                $this->entities
                    ->getRepository(DecisionRecord::class)
                    ->findBy(['examination' => $record], ['id' => 'DESC'], 3) as $d
            ) {
                $taxon = $flora->taxa[$d->taxon] ?? null;
                $part = null === $taxon ? null : $taxon->parts[$d->part] ?? null;
                $decided[] = new DecidedView(
                    $d->id,
                    $d->taxon,
                    $taxon?->commonName() ?? $d->taxon,
                    null === $part ? $d->part : $part->label,
                    $d->answer,
                    $words->sentence($d->reason()),
                    CalendarDay::iso($d->decidedOn),
                    $record->examiner->name,
                    $record->id,
                );
            }
        }

        return $decided;
    }

    /**
     * @param list<ExaminationRecord> $records newest first
     *
     * @return array<string, KnownView> by character, in the order of the catalogue
     */
    private function known(array $records, User $reader): array
    {
        $known = [];
        foreach ($records as $record) {
            $flora = $this->stored->flora($record);
            $words = new English($flora, Units::from($reader->units));
            foreach ($this->stored->examinationOf($record)->findings as $id => $finding) {
                $seen = $finding->isNotApplicable()
                    ? 'makes no sense here'
                    : $words->valuesOf($id, ...$finding->values());
                $known[$id] ??= new KnownView(
                    $id,
                    $finding->character->organ,
                    $finding->character->label,
                    $seen,
                    CalendarDay::iso($record->date),
                    $record->examiner->name,
                );
            }
        }
        $order = array_flip(array_keys($this->library->flora($reader->flora)->characters));
        uksort($known, static fn (string $a, string $b): int => ($order[$a] ?? 999) <=> ($order[$b] ?? 999));

        return $known;
    }

    /**
     * Of everybody: what was looked at may be told, though not what was seen.
     *
     * @param list<ExaminationRecord> $signed
     *
     * @return array<string, true> by character
     */
    private function lookedAt(array $signed): array
    {
        $looked = [];
        foreach ($signed as $record) {
            foreach ($record->scores as $score) {
                if (null === $score->takenBackAt && ScoreAnswer::CannotBeSeen !== $score->answer) {
                    $looked[$score->character] = true;
                }
            }
        }

        return $looked;
    }

    /**
     * @param array<string, true> $known
     *
     * @return list<MissingView>
     */
    private function missing(Specimen $tree, Flora $flora, Taxon $taxon, array $known): array
    {
        $phenology = Phenology::at($flora, $tree->site->place());
        $today = DayOfYear::on($this->clock->today());
        $missing = [];
        foreach (self::required($flora, $taxon) as $id => $character) {
            $next = isset($known[$id]) ? null : $phenology->nextShowing($taxon, $character, $today);
            if (null !== $next) {
                $missing[] = new MissingView(
                    $id,
                    $character->organ,
                    $character->label,
                    $next->number === $today->number ? null : $next->words(),
                );
            }
        }

        return $missing;
    }

    /** @return array<string, Character> what any part of it requires */
    private static function required(Flora $flora, Taxon $taxon): array
    {
        $required = [];
        foreach ($taxon->parts as $part) {
            foreach ($part->required as $feature) {
                $required[$feature->character] = $flora->character($feature->character);
            }
        }

        return $required;
    }
}

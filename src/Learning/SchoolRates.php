<?php

declare(strict_types=1);

namespace App\Learning;

use App\Clock\SchoolClock;
use App\Learning\View\CountedRateView;
use App\Learning\View\SchoolPassingView;
use App\Learning\View\SchoolRehearsalView;
use App\Library\FloraLibrary;
use App\Web\Refused;
use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Learning\CountedRate;
use Hylognosis\Learning\Reading;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Rehearsal;

/** What the readings of a school say of the flora’s rates, and how that school would fare with a part. */
final readonly class SchoolRates
{
    private const PLAYS = 60;
    private const SHOWN = 8;

    public function __construct(
        private LearnerReadingRepository $readings,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    /** @return array<string, CountedRate> by character, the most misread first */
    public function counted(string $flora): array
    {
        $characters = $this->library->flora($flora)->characters;
        $by = [];
        foreach ($this->readings->all($flora) as $reading) {
            if (isset($characters[$reading->trait])) {
                $by[$reading->trait][] = $reading->reading();
            }
        }
        $rates = [];
        foreach ($by as $id => $readings) {
            /** @var list<Reading> $readings */
            $rates[$id] = CountedRate::of($characters[$id], $readings);
        }
        uasort($rates, static fn (CountedRate $a, CountedRate $b): int => $b->rate <=> $a->rate);

        return $rates;
    }

    /** How many people the readings are of; whose they are is not told. */
    public function people(string $flora): int
    {
        return \count(
            array_unique(array_map(static fn (LearnerReading $r): string => $r->by->id, $this->readings->all($flora))),
        );
    }

    public static function view(CountedRate $rate): CountedRateView
    {
        $label = static fn (string $state): string => $rate->character->states[$state]->label ?? $state;
        $confused = [];
        foreach ($rate->confusions as $true => $reads) {
            foreach ($reads as $read) {
                $confused[] = $label((string) $true).' → '.$label($read);
            }
        }

        return new CountedRateView(
            $rate->character->id,
            $rate->character->label,
            $rate->looks,
            $rate->wrong,
            $rate->character->legibility->misreading,
            $rate->rate,
            $rate->low,
            $rate->high,
            $rate->isWellFounded(),
            $confused,
        );
    }

    /**
     * How often this school would go wrong with a part, by the exact bound, beside an average examiner of the flora.
     *
     * @throws Refused if there is no such part
     */
    public function rehearsal(string $flora, string $what): SchoolRehearsalView
    {
        $known = $this->library->flora($flora);
        [$taxonId, $partId] = explode('/', $what, 2) + ['', ''];
        try {
            $taxon = $known->taxon($taxonId);
            $part = $taxon->part($partId);
        } catch (UnknownEntry) {
            throw Refused::field('part', 'There is no such part of such a kind.');
        }
        $days = Rehearsal::months($part);
        if ('' !== $part->harmful || [] === $days) {
            throw Refused::field('part', 'That part is never cleared; there is nothing to rehearse.');
        }
        $month = (int) $this->clock->today()->format('n');
        $month = isset($days[$month]) ? $month : array_key_first($days);
        $rates = array_map(static fn (CountedRate $r): float => $r->rate, $this->counted($flora));
        $claim = new Claim($taxon, $part, []);
        $school = new Rehearsal($known, 1, self::PLAYS, true, $rates);
        $average = new Rehearsal($known, 1, self::PLAYS, true);
        $passing = [];
        foreach ($known->dangerous() as $danger) {
            if (!$claim->allows($known, $danger)) {
                $passing[] = new SchoolPassingView(
                    $danger->commonName(),
                    $danger->severity(),
                    $school->passing($taxon, $part, $danger, $days, ExaminerKind::Average)->bound,
                    $average->passing($taxon, $part, $danger, $days, ExaminerKind::Average)->bound,
                );
            }
        }
        usort($passing, static fn (SchoolPassingView $a, SchoolPassingView $b): int => $b->school <=> $a->school);
        $right = $school->right($taxon, $part, $month, $days[$month], ExaminerKind::Average)->cleared;
        $usual = $average->right($taxon, $part, $month, $days[$month], ExaminerKind::Average)->cleared;

        return new SchoolRehearsalView(
            $taxon->commonName().', '.$part->label,
            $month,
            $right->share(),
            $usual->share(),
            self::PLAYS,
            \array_slice($passing, 0, self::SHOWN),
        );
    }
}

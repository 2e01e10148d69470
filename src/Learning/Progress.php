<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Learning\View\CalibrationView;
use App\Learning\View\CharacterConfusionsView;
use App\Learning\View\ConfusionView;
use App\Learning\View\KindPairView;
use App\Learning\View\LearningMonthView;
use App\Learning\View\ProgressView;
use App\Library\FloraLibrary;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Learning\Calibration;
use Hylognosis\Learning\Confusions;
use Hylognosis\Learning\Reading;

/** Draws together what somebody read. Only he himself and instructors get to see it. */
final readonly class Progress
{
    public function __construct(
        private LearnerReadingRepository $readings,
        private PracticeAnswerRepository $answers,
        private DrillCardRepository $cards,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    public function of(User $learner): ProgressView
    {
        $flora = $this->library->flora($learner->flora);
        $readings = array_values(
            array_filter(
                $this->readings->of($learner),
                static fn (LearnerReading $r): bool => $r->flora === $flora->name,
            ),
        );
        $answers = $this->answers->of($learner);
        $calibration = Calibration::of(
            array_map(static fn (LearnerReading $r): array => [$r->certainty, $r->isRight], $readings),
        );
        $today = $this->clock->today();
        $words = [];
        foreach (array_keys(Calibration::STATED) as $word) {
            if (isset($calibration->right[$word])) {
                $right = $calibration->right[$word];
                [$low, $high] = $right->wilson();
                $words[] = new CalibrationView(
                    $word,
                    $right->events,
                    $right->trials,
                    $low,
                    $high,
                    Calibration::STATED[$word],
                );
            }
        }

        return new ProgressView(
            $learner->name,
            self::characters($flora, $readings),
            self::pairs($flora, $answers),
            $words,
            $calibration->brier,
            self::months($readings, $answers),
            \count(array_filter($this->cards->of($learner), static fn (DrillCard $c): bool => $c->dueOn <= $today)),
        );
    }

    /**
     * What the school misreads, all together and without names.
     *
     * @return list<CharacterConfusionsView> the most misread first: badly taught, or badly drawn
     */
    public function ofSchool(string $flora): array
    {
        return self::characters($this->library->flora($flora), $this->readings->all($flora));
    }

    /**
     * @param list<LearnerReading> $readings
     *
     * @return list<CharacterConfusionsView>
     */
    private static function characters(Flora $flora, array $readings): array
    {
        $by = [];
        foreach ($readings as $reading) {
            $by[$reading->trait][] = $reading;
        }
        $views = [];
        foreach ($by as $id => $own) {
            $character = $flora->characters[$id] ?? null;
            if (null !== $character) {
                $views[] = self::character($character, $own);
            }
        }
        usort(
            $views,
            static fn (CharacterConfusionsView $a, CharacterConfusionsView $b): int => [$b->wrong > 0, $b->misread] <=>
                [$a->wrong > 0, $a->misread],
        );

        return $views;
    }

    /** @param non-empty-list<LearnerReading> $own */
    private static function character(Character $character, array $own): CharacterConfusionsView
    {
        $wrong = \count(array_filter($own, static fn (LearnerReading $r): bool => !$r->isRight));
        if ($character->isNumeric()) {
            $rate = $character->legibility->misreading;

            return new CharacterConfusionsView(
                $character->id,
                $character->label,
                \count($own),
                $wrong,
                ($wrong + Confusions::PRIOR_LOOKS * $rate) / (\count($own) + Confusions::PRIOR_LOOKS),
                $rate,
                [],
            );
        }
        $confusions = Confusions::of(
            $character,
            array_map(static fn (LearnerReading $r): Reading => $r->reading(), $own),
        );
        $cells = [];
        foreach ($confusions->counts as $true => $row) {
            foreach ([$true => $row[$true] ?? 0] + $row as $read => $times) {
                $share = $confusions->share((string) $true, (string) $read);
                [$low, $high] = $share->interval();
                $cells[] = new ConfusionView(
                    $character->states[$true]->label,
                    $character->states[$read]->label,
                    $times,
                    $confusions->looks((string) $true),
                    $share->mean(),
                    $low,
                    $high,
                );
            }
        }

        return new CharacterConfusionsView(
            $character->id,
            $character->label,
            \count($own),
            $wrong,
            $confusions->misread(),
            $character->legibility->misreading,
            $cells,
        );
    }

    /**
     * @param list<PracticeAnswer> $answers
     *
     * @return list<KindPairView>
     */
    private static function pairs(Flora $flora, array $answers): array
    {
        $times = [];
        foreach ($answers as $answer) {
            if ('' !== $answer->said && $answer->said !== $answer->taxon) {
                $times[$answer->taxon.'/'.$answer->said] = ($times[$answer->taxon.'/'.$answer->said] ?? 0) + 1;
            }
        }
        arsort($times);
        $name = static fn (string $id): string => isset($flora->taxa[$id]) ? $flora->taxa[$id]->commonName() : $id;
        $views = [];
        foreach (\array_slice($times, 0, 30) as $pair => $count) {
            [$was, $said] = explode('/', $pair);
            $views[] = new KindPairView($name($was), $name($said), $count);
        }

        return $views;
    }

    /**
     * @param list<LearnerReading> $readings
     * @param list<PracticeAnswer> $answers
     *
     * @return list<LearningMonthView>
     */
    private static function months(array $readings, array $answers): array
    {
        $months = [];
        foreach ($readings as $reading) {
            $months[$reading->at->format('Y-m')]['readings'][] = $reading->isRight;
        }
        foreach ($answers as $answer) {
            $months[$answer->at->format('Y-m')]['marks'][] = $answer->mark->share();
        }
        krsort($months);
        $views = [];
        foreach ($months as $month => $of) {
            [$read, $marks] = [$of['readings'] ?? [], $of['marks'] ?? []];
            $views[] = new LearningMonthView(
                (string) $month,
                \count($read),
                \count(array_filter($read)),
                \count($marks),
                [] === $marks ? 0.0 : array_sum($marks) / \count($marks),
            );
        }

        return $views;
    }
}

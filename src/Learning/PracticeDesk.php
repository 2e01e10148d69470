<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Learning\Input\PracticeInput;
use App\Learning\Input\PracticeScore;
use App\Learning\View\PracticePlaceView;
use App\Learning\View\PracticeResultView;
use App\Learning\View\PracticeView;
use App\Learning\View\ReadView;
use App\Species\View\DescribedView;
use App\Species\View\StateShareView;
use App\Web\Refused;
use Hylognosis\Clearance\Claim;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\UnusableScore;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Taxon;
use Hylognosis\Learning\PracticeGate;
use Hylognosis\Learning\PracticeMark;
use Hylognosis\Learning\Reading;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Rehearsal\Goal;

/** Shows practice trees, and marks what is said of them. */
final readonly class PracticeDesk
{
    private const PLACES = ['low', 'crown', 'foot'];
    /** Any year: what a tree shows hangs on the day of the year. */
    private const YEAR = 2027;

    public function __construct(private PracticeLot $lot, private SchoolClock $clock)
    {
    }

    public function view(PracticeCode $code): PracticeView
    {
        $drawn = $this->lot->drawn($code);
        $places = [];
        foreach (self::PLACES as $i => $place) {
            $shows = [];
            foreach ($drawn->tree->characters() as $id) {
                $shows[] = self::shown($drawn->of->character($id), $drawn->tree->at($id, $i));
            }
            $places[] = new PracticePlaceView($place, array_values(array_filter($shows)));
        }

        return new PracticeView(
            (string) $code,
            $drawn->compiled->flora->name,
            $drawn->day->month(),
            null === $drawn->hope || null === $drawn->part
                ? ''
                : $drawn->hope->commonName().', '.$drawn->part->label,
            $places,
            $drawn->tree->characters(),
        );
    }

    /** @return array{PracticeAnswer, PracticeResultView, list<LearnerReading>} to be kept, and to be shown */
    public function marked(PracticeCode $code, PracticeInput $input, User $by): array
    {
        $drawn = $this->lot->drawn($code);
        $now = $this->clock->now();
        $observations = $readings = $views = [];
        foreach ($input->scores as $i => $score) {
            $character =
                $drawn->compiled->flora->characters[$score->character] ??
                throw Refused::field("scores[$i].character", 'There is no such character.');
            $true = $drawn->tree->all($score->character);
            if ([] === $true) {
                throw Refused::field("scores[$i].character", 'That cannot be seen on this tree.');
            }
            $observations[] = self::observation($character, $score, $i);
            $reading = new Reading(
                $score->character,
                $true,
                [] === $score->numbers ? $score->states : $score->numbers,
                $score->certainty,
                $now,
            );
            $isRight = $reading->isRight($character);
            $readings[] = new LearnerReading(
                $by,
                $drawn->compiled->flora->name,
                $score->character,
                $reading->true,
                $reading->read,
                $score->certainty,
                $isRight,
                $now,
            );
            $views[] = self::read($character, $reading, $isRight);
        }
        usort($views, static fn (ReadView $a, ReadView $b): int => $a->isRight <=> $b->isRight);
        foreach ($input->couldBe as $i => $kind) {
            if (!isset($drawn->compiled->flora->taxa[$kind])) {
                throw Refused::field("couldBe[$i]", 'There is no such kind.');
            }
        }
        $gate = self::gate($drawn, $observations);
        $mark = PracticeMark::of($input->decision, $drawn->isWanted(), $gate->isOpen ?? false);
        $truth = $drawn->tree->taxon;
        $saidRight = $drawn->isOutsider() ? '' === $input->said : self::means($drawn, $input->said, $truth);

        return [
            new PracticeAnswer(
                $input->id,
                $by,
                (string) $code,
                $truth->id,
                $input->said,
                $input->decision,
                $mark,
                \count($views),
                \count(array_filter($views, static fn (ReadView $v): bool => $v->isRight)),
                $now,
            ),
            new PracticeResultView(
                $truth->id,
                $truth->name,
                $truth->commonName(),
                $drawn->isOutsider(),
                $drawn->isWanted(),
                $saidRight,
                $mark,
                $mark->share(),
                $gate->isOpen ?? false,
                array_map(
                    static fn (string $id): string => $drawn->compiled->flora->character($id)->label,
                    $gate->missing ?? [],
                ),
                array_map(static fn (Taxon $t): string => $t->commonName(), $gate->dangers ?? []),
                array_values(
                    array_map(
                        static fn (Taxon $t): string => $t->commonName(),
                        array_filter(
                            $gate->dangers ?? [],
                            static fn (Taxon $t): bool => \in_array($t->id, $input->couldBe, true),
                        ),
                    ),
                ),
                $saidRight || \in_array($truth->id, $input->couldBe, true),
                $gate?->leader->commonName() ?? '',
                $views,
            ),
            $readings,
        ];
    }

    /** @param list<Observation> $observations */
    private static function gate(DrawnTree $drawn, array $observations): ?PracticeGate
    {
        if (null === $drawn->hope || null === $drawn->part) {
            return null;
        }

        return PracticeGate::on(
            $drawn->compiled,
            $drawn->phenology,
            new Goal(new Claim($drawn->hope, $drawn->part, []), $drawn->day),
            CalendarDay::parse(self::YEAR.'-'.$drawn->day),
            $observations,
        );
    }

    /** Named right: the kind itself; of a hybrid also a parent, for no more can be asked of a look. */
    private static function means(DrawnTree $drawn, string $said, Taxon $truth): bool
    {
        return $said === $truth->id || ($truth->isHybrid() && \in_array($said, $truth->parents, true));
    }

    private static function observation(Character $character, PracticeScore $score, int $i): Observation
    {
        try {
            return Observation::of(
                $character,
                ScoreAnswer::Seen,
                $score->states,
                array_map(floatval(...), $score->numbers),
                $score->certainty,
                $score->samples,
                Whereabouts::Tree,
                null,
                false,
                new Look(),
            );
        } catch (UnusableScore $e) {
            throw Refused::field("scores[$i]", $e->getMessage());
        }
    }

    private static function shown(Character $character, string|float|null $value): ?DescribedView
    {
        if (null === $value) {
            return null;
        }

        return new DescribedView(
            $character->id,
            $character->organ,
            '',
            \is_float($value)
                ? []
                : [new StateShareView($value, '', $character->state($value)->drawing, 1.0)],
            \is_float($value) ? (string) $value : null,
            null,
        );
    }

    private static function read(Character $character, Reading $reading, bool $isRight): ReadView
    {
        return new ReadView(
            $character->id,
            $character->label,
            $isRight,
            self::words($character, $reading->true),
            self::words($character, $reading->read),
            array_values(array_filter($reading->true, is_string(...))),
            array_values(array_filter($reading->read, is_string(...))),
        );
    }

    /**
     * @param list<string|float> $values
     *
     * @return list<string>
     */
    private static function words(Character $character, array $values): array
    {
        return array_map(
            static fn (string|float $v): string => \is_string($v) && isset($character->states[$v])
                ? $character->states[$v]->label
                : trim($v.' '.$character->unit),
            $values,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Clearance\Claim;
use Hylognosis\Clearance\Clearance;
use Hylognosis\Clearance\ConditionAnswer;
use Hylognosis\Clearance\Dossier;
use Hylognosis\Clearance\Gate;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\Quota;
use Hylognosis\Clearance\SecondLook;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\Look;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Position;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Identifier;
use Hylognosis\Measure\Length;
use Hylognosis\Measure\Place;
use Hylognosis\Reason\Reason;
use Hylognosis\Season\Phenology;
use Hylognosis\Wording\English;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Examinations by somebody who wants the gate open: right trees and wrong ones scored as required, then bent in all the
 * ways the rules allow to be said. What the gate answers is held against {@see Reckoning}.
 *
 * @phpstan-import-type Score from Reckoning
 */
final class Hostile
{
    private Randomizer $dice;
    private Flora $flora;
    private CompiledFlora $compiled;
    /** @var list<array{Taxon, Part}> */
    private array $claims = [];
    /** @var list<string> what the gate and the reckoning do not agree on */
    public array $faults = [];
    public int $cleared = 0;

    public function __construct(string $letter, int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->flora = Floras::get($letter);
        $this->compiled = Floras::compiled($letter);
        foreach ($this->flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                if ('' === $part->harmful || $this->chance(5)) {
                    $this->claims[] = [$taxon, $part];
                }
            }
        }
    }

    public function run(int $examinations): void
    {
        for ($n = 0; $n < $examinations; ++$n) {
            $this->one($n);
        }
    }

    private function one(int $n): void
    {
        [$taxon, $part] = $this->pick($this->claims);
        $true = $this->chance(75) ? $taxon : $this->pick(array_values($this->flora->taxa));
        $window = $part->examinedIn();
        $date =
            null === $window || $this->chance(7)
                ? $this->dayOfYear($this->dice->getInt(0, 364))
                : $this->dayOfYear(($window->from->number - 1 + $this->dice->getInt(0, $window->days() - 1)) % 365);
        $decidedOn = $this->chance(80)
            ? $date
            : $this->later($date, $this->dice->getInt(-1, $part->freshnessDays() + 2));
        $scores = $this->bent($this->asHoped($taxon, $part, $true, 0));
        $answers = $this->answers($part, $date, $decidedOn);
        $atHome = $this->chance(92);
        $place = $atHome
            ? $this->flora->reference
            : Place::of(
                $this->dice->getInt(-60, 75),
                $this->dice->getInt(-180, 180),
                Length::ofMetres((float) $this->dice->getInt(0, 4000)),
            );
        $other = $this->pick(array_keys($this->flora->taxa));
        $terms = new PlaceTerms(
            $this->pick([...array_fill(0, 14, true), false, null]),
            $this->chance(15) ? new \DateTimeImmutable($this->later($decidedOn, $this->dice->getInt(-3, 20))) : null,
            $this->chance(8) ? [$this->pick([$taxon->id, $other])] : [],
            $this->chance(8) ? [$this->pick([$taxon->id, $other]) => new Quota(2, $this->dice->getInt(0, 3))] : [],
        );
        $role = $this->chance(93) ? ExaminerRole::Instructor : ExaminerRole::Learner;
        $seconds = $rows = [];
        for ($s = $this->pick([0, 1, 1, 1, 1, 1, 2]); $s > 0; --$s) {
            $second = $this->chance(4)
                ? $scores
                : $this->bent($this->asHoped($taxon, $part, $this->chance(85) ? $taxon : $true, 5000 * $s), 1);
            $on = $this->chance(85) ? $date : $this->later($date, -$this->dice->getInt(0, 30));
            $who = $this->pick(['one', 'two', 'two', 'two', 'two', '']);
            [$blind, $reconsidered, $may] = [
                $this->chance(85),
                $this->chance(10),
                $this->chance(90) ? ExaminerRole::Instructor : ExaminerRole::Learner,
            ];
            $seconds[] = new SecondLook($this->identify($second, $on, $may), $blind, $who, $reconsidered);
            $rows[] = [$second, $on, $who, $blind, $reconsidered, $may->mayDecide()];
        }
        $identification = $this->identify($scores, $date, $role);
        $same = $this->chance(97);
        $clearance = (new Gate())->decide(
            new Dossier(
                new Claim(
                    $taxon,
                    $part,
                    array_map(
                        static fn (array $answer): ConditionAnswer => new ConditionAnswer(
                            $answer[0],
                            new \DateTimeImmutable($answer[1]),
                        ),
                        $answers,
                    ),
                ),
                $identification,
                Phenology::at($this->flora, $place),
                $terms,
                new \DateTimeImmutable($decidedOn),
                $seconds,
                $same,
                'one',
            ),
        );
        $this->cleared += (int) $clearance->isCleared();

        if (0 === $n % 10) {
            $this->mustBeWorded($n, $clearance);
        }
        $reckoning = new Reckoning($this->flora, $taxon->id, $part->id, $scores, $date);
        $expect = function (string $point, bool $met) use ($clearance, $n, $taxon, $part): void {
            if ($this->isMet($clearance, $point) !== $met) {
                $this->faults[] =
                    "examination $n, {$taxon->id} {$part->id}: $point is reckoned ".
                    ($met ? 'met' : 'not met').
                    ', the gate says otherwise';
            }
        };
        if ($atHome) {
            $expect('required-features', $reckoning->featuresAreMet());
            $expect('look-alikes-excluded', [] === $reckoning->openDangers());
            $expect('breadth', $reckoning->organs() >= 3);
            $expect('part-and-condition', $reckoning->partIsReady($answers, $decidedOn));
        }
        $expect('no-contradiction', $reckoning->isUncontradicted());
        $expect('freshness', $same && $reckoning->isFresh($decidedOn));
        $kinds = array_filter(
            '' === $part->group ? [$taxon->id] : [$taxon->id, ...$this->flora->groups[$part->group]->members],
            static fn (string $id): bool => $id === $taxon->id || $identification->posteriorOf($id) >= 0.01,
        );
        $expect(
            'place',
            $this->inRegion($place)
                && true === $terms->permission
                && (null === $terms->validUntil || $terms->validUntil->format('Y-m-d') >= $decidedOn)
                && [] ===
                    array_filter(
                        $kinds,
                        fn (string $id): bool => $this->flora->taxa[$id]->status->protected
                            || \in_array($id, $terms->protectedTaxa, true)
                            || (isset($terms->quotas[$id]) && $terms->quotas[$id]->used >= 2),
                    ),
        );
        if ($clearance->isCleared()) {
            $this->mustHold(
                $n,
                $taxon,
                $part,
                $identification,
                $role,
                $reckoning,
                $rows,
                $decidedOn,
                $atHome,
                $clearance,
            );
        }
    }

    /** @param list<array{list<Score>, string, string, bool, bool, bool}> $rows */
    private function mustHold(
        int $n,
        Taxon $taxon,
        Part $part,
        Identification $identification,
        ExaminerRole $role,
        Reckoning $reckoning,
        array $rows,
        string $decidedOn,
        bool $atHome,
        Clearance $clearance,
    ): void {
        $kinds = '' === $part->group ? [$taxon->id] : [$taxon->id, ...$this->flora->groups[$part->group]->members];
        $sum = array_sum(array_map($identification->posteriorOf(...), array_unique($kinds)));
        $best = array_keys($identification->posterior, max([0.0, ...$identification->posterior]), true)[0];
        $agreed = !$reckoning->wantsTwo();
        $dissent = false;
        foreach ($rows as [$scores, $on, $who, $blind, $reconsidered, $may]) {
            if ($reconsidered) {
                continue;
            }
            $own = new Reckoning($this->flora, $taxon->id, $part->id, $scores, $on);
            $dissent = $dissent || 'broken' === $own->against();
            $agreed =
                $agreed
                || ($blind
                    && 'one' !== $who
                    && $may
                    && $own->featuresAreMet()
                    && $own->isUncontradicted()
                    && (!$atHome || [] === $own->openDangers())
                    && $own->isFresh($decidedOn));
        }
        foreach (
            [
                'a harmful part' => '' === $part->harmful,
                'a learner' => ExaminerRole::Instructor === $role,
                'the lead' => $sum >= 0.95 && \in_array($this->compiled->taxa[$best], $kinds, true),
                'something unlisted' => $identification->unlisted <= 0.02,
                'the fit' => $identification->fit >= 0.02,
                'the second person' => $agreed,
                'dissent' => !$dissent,
                'the end' => null !== $clearance->until
                    && $clearance->until->format('Y-m-d') >= $decidedOn
                    && $clearance->until->format('Y-m-d') <= $this->later($decidedOn, $part->freshnessDays()),
            ] as $what => $holds
        ) {
            if (!$holds) {
                $this->faults[] = "examination $n, {$taxon->id} {$part->id}: cleared against $what";
            }
        }
    }

    /** Every reason has its sentence, and nothing in it is left blank. */
    private function mustBeWorded(int $n, Clearance $clearance): void
    {
        $wording = new English($this->flora);
        foreach ($clearance->points as $report) {
            foreach (
                [
                    $report->because,
                    $report->change,
                    ...array_map(static fn (PointItem $item): Reason => $item->detail, $report->items),
                ] as $reason
            ) {
                $said = null === $reason ? 'Nothing.' : $wording->sentence($reason);
                if (1 !== preg_match('/^\S.*\S$/s', $said) || str_contains($said, '  ') || str_contains($said, ' .')) {
                    $this->faults[] = "examination $n: {$report->point} says \"$said\"";
                }
            }
        }
    }

    private function isMet(Clearance $clearance, string $point): bool
    {
        foreach ($clearance->points as $report) {
            if ($report->point === $point) {
                return $report->isMet();
            }
        }
        throw new \LogicException("There is no point $point.");
    }

    private function inRegion(Place $place): bool
    {
        $region = $this->flora->region;
        $shift =
            4 * ($place->latitudeDegrees - $this->flora->reference->latitudeDegrees) +
            (4 * ($place->altitude->metres() - $this->flora->reference->altitude->metres())) / 121.92;

        return $place->latitudeDegrees >= $region->south
            && $place->latitudeDegrees <= $region->north
            && $place->longitudeDegrees >= $region->west
            && $place->longitudeDegrees <= $region->east
            && $place->altitude->metres() >= $region->lowest->metres()
            && $place->altitude->metres() <= $region->highest->metres()
            && abs(round($shift)) <= 40;
    }

    /** @return list<Score> all that is required, as hoped, and some more of what the tree shows */
    private function asHoped(Taxon $claimed, Part $part, Taxon $true, int $from): array
    {
        $scores = [];
        foreach ($part->required as $feature) {
            $values =
                null === $feature->range
                    ? [$this->pick($feature->states)]
                    : array_map(fn (): float => $this->within($feature->range), range(1, $feature->samples));
            $scores[] = $this->score(
                $feature->character,
                $values,
                $from += $this->dice->getInt(5, 90),
                $feature->samples + ($this->chance(3) ? -1 : 0),
            );
        }
        foreach (
            \array_slice(
                $this->dice->shuffleArray(array_keys($this->flora->characters)),
                0,
                $this->dice->getInt(2, $this->chance(50) ? 30 : \count($this->flora->characters)),
            ) as $id
        ) {
            $kind = $true->description->describes($id) ? $true : $claimed;
            $listed = $kind->description->frequencies($id) ?? [];
            $range = $kind->description->range($id);
            if ([] !== $listed || null !== $range) {
                arsort($listed);
                $scores[] = $this->score(
                    $id,
                    [null === $range ? (string) array_key_first($listed) : $this->within($range)],
                    $from += $this->dice->getInt(5, 90),
                    3,
                );
            }
        }

        return $scores;
    }

    private function within(NumberRange $range): float
    {
        return (float) $this->dice->getInt(
            (int) ceil($range->low),
            max((int) ceil($range->low), (int) floor($range->high)),
        );
    }

    /**
     * @param list<string|float> $values
     *
     * @return Score
     */
    private function score(string $character, array $values, int $at, int $samples): array
    {
        return [
            'character' => $character,
            'values' => $values,
            'either' => false,
            'na' => false,
            'certainty' => 'sure',
            'samples' => \is_float($values[0]) ? \count($values) : max(1, $samples),
            'where' => 'tree',
            'position' => 'middle',
            'further' => false,
            'at' => $at,
            'back' => false,
        ];
    }

    /**
     * @param list<Score> $scores
     *
     * @return list<Score>
     */
    private function bent(array $scores, int $most = 4): array
    {
        for ($bends = [] === $scores || $this->chance(40) ? 0 : $this->dice->getInt(1, $most); $bends > 0; --$bends) {
            $i = $this->dice->getInt(0, \count($scores) - 1);
            $score = $scores[$i];
            $character = $this->flora->characters[$score['character']];
            $bent = match ($this->dice->getInt(0, 11)) {
                0 => [$score, $score],
                1, 2 => [$score, ...$this->disputed($character, $score)],
                3 => [['back' => true] + $score],
                4 => [['certainty' => $this->pick(['likely', 'unsure'])] + $score],
                5 => [$score['na'] ? $score : ['where' => 'ground'] + $score],
                6 => [$this->either($character, $score)],
                7 => [
                    null === $character->applies
                        ? $score
                        : [
                            'values' => [],
                            'na' => true,
                            'samples' => 1,
                            'where' => 'tree',
                            'position' => 'middle',
                            'either' => false,
                        ] + $score,
                ],
                8 => [['samples' => $this->pick([1, 2, 200])] + $score],
                9 => [['values' => $this->foreign($character), 'na' => false, 'either' => false] + $score],
                10 => [
                    $score,
                    ['further' => true, 'at' => (int) $score['at'] + $this->pick([0, 3, 14, 15, 400])] + $score,
                ],
                default => [['at' => $this->pick([null, 0, $score['at']])] + $score],
            };
            array_splice($scores, $i, 1, array_map($this->withOwnSamples(...), $bent));
        }

        return $scores;
    }

    /**
     * @param Score $score
     *
     * @return Score numbers are their own samples
     */
    private function withOwnSamples(array $score): array
    {
        return [
            'samples' => $score['na']
                ? 1
                : (\is_float($score['values'][0] ?? '')
                    ? \count($score['values'])
                    : $score['samples']),
        ] + $score;
    }

    /**
     * @param Score $score
     *
     * @return list<Score> another value, perhaps taken back, perhaps looked at again until it suits
     */
    private function disputed(Character $character, array $score): array
    {
        $other =
            [
                'values' => $this->foreign($character),
                'na' => false,
                'either' => false,
                'certainty' => $this->pick(['sure', 'sure', 'unsure']),
                'back' => $this->chance(50),
            ] + $score;
        $other['at'] = (int) $score['at'] + $this->pick([1, 20, 300]);
        if ($this->chance(30) && !$character->isNumeric() && !$score['na']) {
            $other['values'] = array_values(array_unique([...$score['values'], ...$other['values']]));
        }
        if ($character->variation->withHeight && $this->chance(50)) {
            $other['position'] = $this->pick(['low', 'high']);
        }
        $scores = [$other];
        for ($again = $this->dice->getInt(0, 3); $again > 0; --$again) {
            $scores[] =
                [
                    'further' => $this->chance(80),
                    'at' => (int) $score['at'] + 400 + $this->pick([0, 20, 200]) * $again,
                    'back' => false,
                    'position' => $this->pick([$score['position'], $other['position']]),
                ] + $score;
        }

        return $scores;
    }

    /**
     * @param Score $score
     *
     * @return Score
     */
    private function either(Character $character, array $score): array
    {
        if ($character->isNumeric() || $score['na']) {
            return $score;
        }
        $values = array_values(array_unique([...$score['values'], ...$this->foreign($character)]));

        return ['values' => $values, 'either' => \count($values) > 1] + $score;
    }

    /** @return list<string|float> */
    private function foreign(Character $character): array
    {
        return [
            $character->isNumeric() ? (float) $this->dice->getInt(0, 40) : $this->pick(array_keys($character->states)),
        ];
    }

    /** @return array<string, array{bool, string}> */
    private function answers(Part $part, string $date, string $decidedOn): array
    {
        $answers = [];
        foreach ($part->conditions as $condition) {
            if ($this->chance(98)) {
                $answers[$condition->id] = [
                    $this->chance(98) ? $condition->wanted : !$condition->wanted,
                    $this->pick([$date, ...array_fill(0, 12, $decidedOn), $this->later($decidedOn, -40)]),
                ];
            }
        }

        return $answers;
    }

    /** @param list<Score> $scores */
    private function identify(array $scores, string $date, ExaminerRole $role): Identification
    {
        $observations = array_map(function (array $s): Observation {
            $character = $this->flora->characters[$s['character']];
            $look = new Look(
                $s['further'],
                null === $s['at'] ? null : new \DateTimeImmutable('@'.(1_800_000_000 + $s['at'])),
                $s['back'],
            );
            $certainty = Certainty::from($s['certainty']);
            if ($s['na']) {
                return Observation::notApplicable($character, $certainty, $look);
            }
            $position = Position::from($s['position']);

            [$numbers, $states] = [
                array_values(array_filter($s['values'], is_float(...))),
                array_values(array_filter($s['values'], is_string(...))),
            ];

            return match (true) {
                [] !== $numbers => Observation::ofNumbers(
                    $character,
                    $numbers,
                    $certainty,
                    Whereabouts::from($s['where']),
                    $position,
                    $look,
                ),
                [] !== $states => Observation::ofStates(
                    $character,
                    $states,
                    $certainty,
                    $s['samples'],
                    Whereabouts::from($s['where']),
                    $position,
                    $s['either'],
                    $look,
                ),
                default => throw new \LogicException('A score of nothing.'),
            };
        }, $scores);

        return (new Identifier())->identify(
            $this->compiled,
            Examination::of(new \DateTimeImmutable($date), LifeStage::Mature, $role, $observations),
        );
    }

    private function dayOfYear(int $zeroBased): string
    {
        return (new \DateTimeImmutable('2027-01-01'))->modify("+$zeroBased days")->format('Y-m-d');
    }

    private function later(string $date, int $days): string
    {
        return (new \DateTimeImmutable($date))->modify(\sprintf('%+d days', $days))->format('Y-m-d');
    }

    /** @phpstan-impure */
    private function chance(int $percent): bool
    {
        return $this->dice->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param list<T> $from not empty
     *
     * @return T
     */
    private function pick(array $from): mixed
    {
        return $from[$this->dice->getInt(0, \count($from) - 1)];
    }
}

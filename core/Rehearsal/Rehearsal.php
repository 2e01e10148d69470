<?php

declare(strict_types=1);

namespace Hylognosis\Rehearsal;

use Hylognosis\Clearance\Claim;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\NextLook;
use Hylognosis\Identification\Outlook;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Measure\Proportion;
use Hylognosis\Season\Phenology;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Plays a flora's examinations many times over, before anybody relies on it: how often a dangerous tree would pass for
 * a wanted one, how often a right tree is cleared, and what becomes of trees the flora does not hold. The same seed
 * gives the same figures, in whatever order they are asked for.
 */
final class Rehearsal
{
    /** Trees met, by age: most that one takes from are full-grown (an assumption). */
    public const STAGES = [['mature', 0.6], ['young', 0.25], ['old', 0.15]];
    /** Where the exact bound is no more than this share of the aim, nothing is played: it is proven well enough. */
    private const PROVEN = 0.1;
    /** Of the parts an unknown tree could be hoped to be, so many that it passes for most easily are played. */
    private const HOPES = 6;
    /** With fewer plays the upper bound of a rare event is too low too often. */
    private const FEWEST_PLAYS = 1000;
    private const RESAMPLES = 400;
    private const FEWEST_PASSES = 30;

    /** @var array<string, CompiledFlora> */
    private array $compiled = [];

    /**
     * @param int  $plays examinations played for each estimate
     * @param bool $exact dangerous trees are not played: the exact bound, which is never too low, stands alone
     * @param array<string, float>|null $counted how often each character was misread, counted; every examiner then
     *                                           reads like that
     */
    public function __construct(
        private readonly Flora $flora,
        private readonly int $seed,
        private readonly int $plays,
        private readonly bool $exact = false,
        private readonly ?array $counted = null,
    ) {
    }

    private function eye(ExaminerKind $kind, CompiledFlora $compiled): Eye
    {
        return null === $this->counted ? Eye::of($kind, $compiled) : Eye::counted($this->counted, $compiled);
    }

    /** @return list<array{Taxon, Part}> every part that may be taken */
    public function wanted(): array
    {
        $wanted = [];
        foreach ($this->flora->taxa as $taxon) {
            foreach ($taxon->parts as $part) {
                if ('' === $part->harmful) {
                    $wanted[] = [$taxon, $part];
                }
            }
        }

        return $wanted;
    }

    /**
     * @return array<int, DayOfYear> month → the day of it nearest its middle on which the tree is examined for the part
     */
    public static function months(Part $part): array
    {
        $nearest = [];
        foreach ($part->daysByMonth() as $month => $days) {
            $middle = DayOfYear::parse(\sprintf('%02d-15', $month))->number;
            usort(
                $days,
                static fn (DayOfYear $a, DayOfYear $b): int => abs($a->number - $middle) <=> abs($b->number - $middle),
            );
            $nearest[$month] = $days[0];
        }

        return $nearest;
    }

    /** How often right trees are cleared in a month in which the part has its window. */
    public function right(Taxon $taxon, Part $part, int $month, DayOfYear $day, ExaminerKind $kind): RightClearance
    {
        $goal = new Goal(new Claim($taxon, $part, []), $day);
        $random = $this->random('right', $taxon->id, $part->id, (string) $month, $kind->value);
        $cleared = $played = 0;
        $looks = $inTheWay = [];
        foreach (self::STAGES as [$stage, $share]) {
            $rehearser = $this->rehearser($this->compiled($this->flora, $stage), $goal, $kind, $taxon->id, false);
            for ($i = 0, $n = (int) round($this->plays * $share); $i < $n; ++$i, ++$played) {
                $course = $rehearser->play(Chance::fair($random));
                if ($course->cleared) {
                    ++$cleared;
                    $looks[] = $course->looks;
                } else {
                    foreach ($rehearser->inTheWay($course) as $what) {
                        $inTheWay[$what] = ($inTheWay[$what] ?? 0) + 1;
                    }
                }
            }
        }
        sort($looks);
        arsort($inTheWay);

        return new RightClearance(
            $taxon->id,
            $part->id,
            $month,
            $kind,
            Proportion::of($cleared, max(1, $played)),
            [] === $looks ? null : (float) $looks[intdiv(\count($looks), 2)],
            $inTheWay,
        );
    }

    /**
     * How often a dangerous tree passes for the wanted one, in the worst month of its window.
     *
     * @param array<int, DayOfYear> $days {@see months}
     */
    public function passing(Taxon $taxon, Part $part, Taxon $danger, array $days, ExaminerKind $kind): Passing
    {
        $goal = $worst = null;
        foreach ($days as $day) {
            $there = new Goal(new Claim($taxon, $part, []), $day);
            $bound = $this->pairBound($this->flora, $there, $danger->id, $kind);
            [$goal, $worst] =
                null === $worst || $bound->independent() > $worst->independent() ? [$there, $bound] : [$goal, $worst];
        }
        \assert(null !== $goal && null !== $worst);
        $severity = Severity::worse($danger->severity(), $part->lookAlike($danger->id)->severity ?? Severity::Harmless);
        if ($this->exact || $worst->independent() <= self::PROVEN * $kind->aim()) {
            return new Passing(
                $taxon->id,
                $part->id,
                $danger->id,
                $severity,
                $kind,
                null,
                $worst->independent(),
                0,
                $worst,
            );
        }
        $random = $this->random('passing', $taxon->id, $part->id, $danger->id, $kind->value);
        $weights = [];
        foreach (self::STAGES as [$stage, $share]) {
            $rehearser = $this->rehearser($this->compiled($this->flora, $stage), $goal, $kind, $danger->id, true);
            for ($i = 0, $n = max(1, (int) round(max(self::FEWEST_PLAYS, $this->plays) * $share)); $i < $n; ++$i) {
                $course = $rehearser->play(Chance::leaning($random));
                $weights[] = $course->cleared ? $course->weight : 0.0;
            }
        }
        \assert([] !== $weights);
        $played = \count($weights);
        $passed = \count(array_filter($weights, static fn (float $weight): bool => $weight > 0.0));
        // Too few passes make a poor estimate of the spread: then only the exact bound counts.
        $upper =
            $passed >= self::FEWEST_PASSES
                ? min($worst->independent(), self::bootstrapped($weights, $random))
                : $worst->independent();

        return new Passing(
            $taxon->id,
            $part->id,
            $danger->id,
            $severity,
            $kind,
            array_sum($weights) / $played,
            $upper,
            $played,
            $worst,
        );
    }

    /**
     * 95 % upper bound of a mean, by drawing as many again from what was seen, many times over: weights of rare events
     * are too skew for the normal distribution. Source: B. Efron, Ann. Statist. 7 (1979) 1–26 (memory).
     *
     * @param non-empty-list<float> $weights
     */
    private static function bootstrapped(array $weights, Randomizer $random): float
    {
        $n = \count($weights);
        $means = [];
        for ($b = 0; $b < self::RESAMPLES; ++$b) {
            $sum = 0.0;
            for ($i = 0; $i < $n; ++$i) {
                $sum += $weights[$random->getInt(0, $n - 1)];
            }
            $means[] = $sum / $n;
        }
        sort($means);

        return $means[(int) ceil(0.95 * self::RESAMPLES) - 1];
    }

    /**
     * What becomes of a taxon's trees where the flora does not hold it. A hope for a group it belongs to is no test: it
     * would be true.
     */
    public function outsiders(Taxon $taxon, ExaminerKind $kind): Outsiders
    {
        $rest = $this->flora->without($taxon->id);
        $random = $this->random('outsiders', $taxon->id, $kind->value);
        [$bound, $as] = [0.0, ''];
        $goals = [];
        foreach ((new self($rest, $this->seed, $this->plays))->wanted() as [$hoped, $part]) {
            if (\in_array($taxon->id, $this->flora->groups[$part->group]->members ?? [], true)) {
                continue; // the name of the group would be enough, and would be true
            }
            $days = self::months($part);
            $goal = new Goal(new Claim($hoped, $part, []), $days[array_keys($days)[intdiv(\count($days), 2)]]);
            $passes = $this->bound($this->flora, $goal, $taxon->id, $kind);
            $goals[] = [$passes, $goal];
            if ($passes >= $bound) {
                [$bound, $as] = [$passes, $hoped->id.'/'.$part->id];
            }
        }
        $n = max(1, intdiv($this->plays, 5));
        $recognised = $named = $cleared = 0;
        for ($i = 0; $i < $n; ++$i) {
            $conclusion = $this->lookedAtWithoutHope(
                $rest,
                $taxon,
                $kind,
                DayOfYear::of(1 + (int) (($i * 364) / $n)),
                Chance::fair($random),
            );
            $recognised += (int) (Conclusion::NoneOfThese === $conclusion);
            $named += (int) (Conclusion::Named === $conclusion);
        }
        usort($goals, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $goals = \array_slice($goals, 0, self::HOPES);
        foreach ($goals as [, $goal]) {
            $rehearser = new Rehearser(
                $this->desk($this->compiled($rest, 'mature'), $goal),
                $this->eye($kind, $this->compiled($this->flora, 'mature')),
                new TreeKind($this->compiled($this->flora, 'mature'), $taxon->id, false),
            );
            for ($i = 0, $each = max(1, intdiv($n, 10)); $i < $each; ++$i) {
                $cleared += (int) $rehearser->play(Chance::fair($random))->cleared;
            }
        }

        return new Outsiders(
            $taxon->id,
            $kind,
            Proportion::of($recognised, $n),
            Proportion::of($named, $n),
            Proportion::of($cleared, max(1, \count($goals) * max(1, intdiv($n, 10)))),
            $bound,
            $as,
        );
    }

    private function lookedAtWithoutHope(
        Flora $rest,
        Taxon $taxon,
        ExaminerKind $kind,
        DayOfYear $day,
        Chance $chance,
    ): Conclusion {
        $full = $this->compiled($this->flora, 'mature');
        $held = $this->compiled($rest, 'mature');
        $eye = $this->eye($kind, $full);
        $tree = new TreeKind($full, $taxon->id, false);
        [$hoped, $part] = $this->wanted()[0];
        $desk = $this->desk($held, $goal = new Goal(new Claim($hoped, $part, []), $day));
        $phenology = Phenology::at($rest, $rest->reference);
        $phases = $phenology->phases($taxon, $day);
        $scores = $couldNotLook = [];
        $identification = $desk->identification([], []);
        for ($looks = 0; $looks < Rehearser::LOOKS; ++$looks) {
            $next =
                (new NextLook())->suggest($identification, Outlook::unhindered($day, $phenology), null, 1)[0] ?? null;
            if (null === $next) {
                break;
            }
            $id = $next->character->id;
            $showing = $tree->showing($id, $goal);
            $character = $tree->character($id);
            if (null === $showing || 0 === ($character->phenophases & $phases)) {
                $couldNotLook[] = $id;
            } else {
                // without a hope nothing leans
                $reads = $eye->reads($character, $showing, $chance->pick($showing->shares, []));
                $scores[$id][] =
                    $reads[
                        $chance->pick(array_map(static fn (ReadValues $r): float => $r->probability, $reads), [])
                    ]->values;
            }
            $identification = $desk->identification($scores, $couldNotLook);
        }

        return $identification->conclusion();
    }

    private function bound(Flora $flora, Goal $goal, string $tree, ExaminerKind $kind): float
    {
        return $this->pairBound($flora, $goal, $tree, $kind)->independent();
    }

    /** Over the ages of trees one meets. */
    public function pairBound(Flora $flora, Goal $goal, string $tree, ExaminerKind $kind): PairBound
    {
        $stages = [];
        foreach (self::STAGES as [$stage, $share]) {
            $compiled = $this->compiled($flora, $stage);
            $desk = $this->desk($compiled, $goal);
            $dangerous = new TreeKind($compiled, $tree, true);
            $stages[] = [
                $share,
                (new ExactBound($this->eye($kind, $compiled)))->chances($dangerous, $goal, $desk),
                ExactBound::stated($dangerous, $goal, $desk),
            ];
        }

        return new PairBound($stages);
    }

    private function rehearser(
        CompiledFlora $compiled,
        Goal $goal,
        ExaminerKind $kind,
        string $tree,
        bool $unknownIsWelcome,
    ): Rehearser {
        return new Rehearser(
            $this->desk($compiled, $goal),
            $this->eye($kind, $compiled),
            new TreeKind($compiled, $tree, $unknownIsWelcome),
        );
    }

    /** @var array<string, Desk> */
    private array $desks = [];

    private function desk(CompiledFlora $compiled, Goal $goal): Desk
    {
        $key =
            spl_object_id($compiled).
            '|'.
            $goal->claim->taxon->id.
            '|'.
            $goal->claim->part->id.
            '|'.
            $goal->day->number;
        if (!isset($this->desks[$key])) {
            // verdicts are remembered at the desk; few desks are in use at a time
            $this->desks = \count($this->desks) > 12 ? [] : $this->desks;
            $this->desks[$key] = new Desk(
                $compiled,
                Phenology::at($compiled->flora, $compiled->flora->reference),
                $goal,
                new \DateTimeImmutable('2027-'.$goal->day),
            );
        }

        return $this->desks[$key];
    }

    private function compiled(Flora $flora, string $stage): CompiledFlora
    {
        return $this->compiled[spl_object_id($flora).$stage] ??= CompiledFlora::of($flora, LifeStage::from($stage));
    }

    private function random(string ...$what): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar(hash('sha256', $this->seed.'|'.implode('|', $what), true)));
    }
}

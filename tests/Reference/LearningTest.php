<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use Hylognosis\Examination\Certainty;
use Hylognosis\Flora\Character;
use Hylognosis\Identification\MisreadingModel;
use Hylognosis\Learning\Calibration;
use Hylognosis\Learning\Confusions;
use Hylognosis\Learning\Reading;
use Hylognosis\Learning\Repetition;
use Hylognosis\Learning\WhatToAsk;
use Hylognosis\Measure\BetaShare;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;

/** What one reads, against SciPy, scikit-learn, printed rules and simulated learners. */
final class LearningTest extends TestCase
{
    public function testBetaQuantilesAndBrierScoresAreThoseOfSciPyAndScikitLearn(): void
    {
        $quantiles = $brier = [];
        foreach ([[0.5, 0.5], [1, 1], [0.02, 19.98], [19.4, 0.6], [3.7, 41.2], [120, 7.5], [2500, 3100]] as [$a, $b]) {
            foreach ([0.025, 0.5, 0.975] as $p) {
                $quantiles[] = [$a, $b, $p];
            }
        }
        $random = new Randomizer(new Mt19937(2));
        $cases = [];
        for ($n = 1; $n <= 40; $n += 13) {
            $readings = [];
            for ($i = 0; $i < $n; ++$i) {
                $readings[] = [Certainty::cases()[$random->getInt(0, 2)], 0 < $random->getInt(0, 3)];
            }
            $cases[] = $readings;
            $brier[] = [
                array_map(static fn (array $r): int => (int) $r[1], $readings),
                array_map(static fn (array $r): float => Calibration::STATED[$r[0]->value], $readings),
            ];
        }
        $process = new Process(
            ['/usr/bin/python3', __DIR__.'/learning_reference.py'],
            input: json_encode(['quantiles' => $quantiles, 'brier' => $brier], \JSON_THROW_ON_ERROR),
        );
        $process->mustRun();
        /** @var array{quantiles: list<float>, brier: list<float>} $reference */
        $reference = json_decode($process->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
        foreach ($quantiles as $i => [$a, $b, $p]) {
            $own = BetaShare::of($a, $b)->quantile($p);
            self::assertEqualsWithDelta($reference['quantiles'][$i], $own, 1e-8, "$a, $b, $p");
        }
        foreach ($cases as $i => $readings) {
            self::assertEqualsWithDelta($reference['brier'][$i], Calibration::of($readings)->brier, 1e-12);
        }
    }

    /**
     * SM-2 as it is printed (Woźniak 1990, 3.2, memory): EF' = EF + (0.1 − (5 − q)(0.08 + (5 − q) 0.02)),
     * at least 1.3; I(1) = 1, I(2) = 6, I(n) = I(n − 1) EF; below 3 from the beginning, EF as it is.
     */
    public function testTheSchedulerFollowsThePrintedRule(): void
    {
        $days = [];
        $card = new Repetition();
        foreach ([4, 4, 4, 4, 4] as $quality) {
            $card = $card->answered($quality);
            $days[] = $card->days;
        }
        self::assertSame([1, 6, 15, 38, 95], $days, 'quality 4 leaves the ease of 2.5 as it is');
        self::assertEqualsWithDelta(2.5, $card->ease, 1e-9);
        foreach ([5 => 2.6, 3 => 2.36, 2 => 2.18, 1 => 1.96, 0 => 1.7] as $quality => $ease) {
            self::assertEqualsWithDelta($ease, (new Repetition())->answered($quality)->ease, 1e-9);
        }
        $forgotten = $card->answered(2);
        self::assertSame([0, 1], [$forgotten->times, $forgotten->days]);
        self::assertSame(1, $forgotten->answered(4)->days);
        $hard = new Repetition(3, 20, 1.31);
        self::assertEqualsWithDelta(1.3, $hard->answered(0)->ease, 1e-9);
    }

    /** By hand: a prior of 20 looks at a rate of one in ten, and ten own looks, four of them wrong. */
    public function testConfusionsAreDirichletEstimates(): void
    {
        $character = self::confusable();
        $rate = $character->legibility->misreading;
        [$one, $other] = self::confused($character);
        $none = Confusions::of($character, []);
        self::assertEqualsWithDelta(1 - $rate, $none->share($one, $one)->mean(), 1e-9, 'the flora’s rate');
        $readings = [
            ...array_fill(0, 6, self::reading($character, $one, $one)),
            ...array_fill(0, 4, self::reading($character, $one, $other)),
        ];
        $own = Confusions::of($character, $readings);
        self::assertEqualsWithDelta((20 * (1 - $rate) + 6) / 30, $own->share($one, $one)->mean(), 1e-9);
        $named = $rate * MisreadingModel::misread($character)[$one][$other];
        self::assertEqualsWithDelta((20 * $named + 4) / 30, $own->share($one, $other)->mean(), 1e-9);
        self::assertSame([[$one, $other, 4]], $own->worst());
        $sum = 0.0;
        foreach (array_keys($character->states) as $read) {
            $sum += $own->share($one, (string) $read)->mean();
        }
        self::assertEqualsWithDelta(1.0, $sum, 1e-4);
        $both = new Reading($character->id, [$one, $other], [$one], Certainty::Sure, new \DateTimeImmutable());
        self::assertSame(0, Confusions::of($character, [$both])->looks($one), 'nobody knows at which');
    }

    /**
     * Learners who misread one state of five badly; the flora's rates tell which, within a factor of two or so. Who is
     * told what it was reads it better the next time, and forgets a little over night. After 200 questions those asked
     * by the scheme misread less than those asked at random.
     */
    public function testWhoIsDrilledByTheSchemeMisreadsLess(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $lot = static fn (): float => $random->getInt(0, 999_999) / 1_000_000;
        $after = ['by the scheme' => [], 'at random' => []];
        for ($learner = 0; $learner < 40; ++$learner) {
            $faults = $expected = [];
            for ($card = 0; $card < 300; ++$card) {
                $faults["c$card"] = $lot() < 0.2 ? 0.4 + 0.4 * $lot() : 0.02 + 0.06 * $lot();
                $expected["c$card"] = $faults["c$card"] * 2 ** (2 * $lot() - 1);
            }
            foreach (array_keys($after) as $how) {
                $after[$how][] = self::drilled('by the scheme' === $how, $faults, $expected, $lot, $random);
            }
        }
        $mean = static fn (array $rates): float => array_sum($rates) / \count($rates);
        [$scheme, $chance] = [$mean($after['by the scheme']), $mean($after['at random'])];
        $said = "\nMisread after 200 questions: %.1f %% by the scheme, %.1f %% at random\n";
        fwrite(\STDERR, \sprintf($said, 100 * $scheme, 100 * $chance));
        self::assertLessThan(0.8 * $chance, $scheme);
    }

    /**
     * @param array<string, float> $rates    card → how often it is misread
     * @param array<string, float> $expected card → how often the flora thinks so
     * @param \Closure(): float    $lot
     *
     * @return float how often cards are misread in the end, on average
     */
    private static function drilled(
        bool $byScheme,
        array $rates,
        array $expected,
        \Closure $lot,
        Randomizer $random,
    ): float {
        $start = $rates;
        $cards = $due = [];
        for ($day = 0; $day < 10; ++$day) {
            $ready = array_filter($due, static fn (int $on): bool => $on <= $day);
            $asked = $byScheme
                ? WhatToAsk::of(
                    array_intersect_key(array_map(static fn (Repetition $r): float => $r->ease, $cards), $ready),
                    array_diff_key($expected, $cards),
                    20,
                )
                : array_map(static fn (): string => 'c'.$random->getInt(0, 299), array_fill(0, 20, 0));
            foreach ($asked as $card) {
                $isRight = $lot() >= $rates[$card];
                $rates[$card] *= $isRight ? 0.85 : 0.5;
                $cards[$card] = ($cards[$card] ?? new Repetition())->answered($isRight ? 5 : 0);
                $due[$card] = $day + $cards[$card]->days;
            }
            foreach ($rates as $card => $rate) {
                $rates[$card] = min($start[$card], $rate * 1.02); // forgotten over night
            }
        }

        return array_sum($rates) / \count($rates);
    }

    private static function confusable(): Character
    {
        foreach (Floras::get('A')->characters as $character) {
            $legibility = $character->legibility;
            if (!$character->isNumeric() && [] !== $legibility->confusions && $legibility->misreading > 0.01) {
                return $character;
            }
        }
        self::fail('No character is confused with another.');
    }

    /** @return array{string, string} */
    private static function confused(Character $character): array
    {
        foreach ($character->legibility->confusions as $true => $reads) {
            foreach ($reads as $read) {
                return [(string) $true, $read];
            }
        }
        self::fail('Nothing is confused in it.');
    }

    private static function reading(Character $character, string $true, string $read): Reading
    {
        return new Reading($character->id, [$true], [$read], Certainty::Sure, new \DateTimeImmutable('2027-06-14'));
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Core\Rehearsal;

use Hylognosis\Rehearsal\Chance;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class ChanceTest extends TestCase
{
    public function testFairDrawsComeAsOftenAsTheirShares(): void
    {
        $chance = Chance::fair(self::randomizer());
        $drawn = array_count_values(
            array_map(static fn (): int => $chance->pick([0.2, 0.0, 0.8], [true, true, false]), range(1, 20_000)),
        );
        self::assertEqualsWithDelta(0.2, ($drawn[0] ?? 0) / 20_000, 0.01);
        self::assertArrayNotHasKey(1, $drawn);
        self::assertSame(1.0, $chance->weight());
    }

    public function testLeaningFindsOneInAMillionAndWeighsItRightly(): void
    {
        // Three draws must all be the one of 0.01: one in a million, worked by hand.
        $random = self::randomizer();
        $sum = $squares = 0.0;
        for ($n = 0; $n < 4_000; ++$n) {
            $chance = Chance::leaning($random);
            $all = true;
            for ($draw = 0; $draw < 3; ++$draw) {
                $all = 0 === $chance->pick([0.01, 0.99], [true, false]) && $all;
            }
            $sum += $all ? $chance->weight() : 0.0;
            $squares += $all ? $chance->weight() ** 2 : 0.0;
        }
        $mean = $sum / 4_000;
        $error = sqrt(($squares / 4_000 - $mean ** 2) / 4_000);
        self::assertEqualsWithDelta(1e-6, $mean, 4 * $error);
        self::assertLessThan(0.03e-6, $error);
    }

    private static function randomizer(): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar(str_repeat('hylognosis-seed!', 2)));
    }
}

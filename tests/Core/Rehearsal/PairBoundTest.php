<?php

declare(strict_types=1);

namespace App\Tests\Core\Rehearsal;

use Hylognosis\Rehearsal\PairBound;
use PHPUnit\Framework\TestCase;

/** Three required features misread in 0.1, 0.02 and 0.05 of the looks, by hand. */
final class PairBoundTest extends TestCase
{
    public function testMisreadingsThatAreIndependentMultiply(): void
    {
        self::assertEqualsWithDelta(1e-4, self::pair()->independent(), 1e-15);
    }

    public function testSomebodyWhoWantsItBendsAllLooksAtOnce(): void
    {
        $bent = (0.7 * 0.1 + 0.3) * (0.7 * 0.02 + 0.3) * (0.7 * 0.05 + 0.3);
        self::assertEqualsWithDelta(0.999 * 1e-4 + 0.001 * $bent, self::pair()->wanting(1e-3), 1e-15);
        self::assertEqualsWithDelta(
            0.999 * 1e-8 + 0.001 * $bent ** 2,
            self::pair()->wanting(1e-3, true),
            1e-15,
            'two who were told the same hope share it',
        );
        self::assertEqualsWithDelta(1e-4, self::pair()->wanting(0.0), 1e-15);
        self::assertEqualsWithDelta($bent, self::pair()->wanting(1.0), 1e-15);
    }

    public function testTheLargestShareThatIsBorneIsJustBorne(): void
    {
        $c = self::pair()->tolerates(1e-3);
        self::assertGreaterThan(0.0, $c);
        self::assertEqualsWithDelta(1e-3, self::pair()->wanting($c), 1e-12);
        self::assertSame(0.0, self::pair()->tolerates(1e-5), 'what passes too often anyway bears nothing');
        self::assertSame(1.0, self::pair()->tolerates(0.5));
    }

    public function testAFalseLineShowsWhatIsAskedFor(): void
    {
        self::assertEqualsWithDelta(
            (0.95 * 0.1 + 0.05) * 0.02 * (0.95 * 0.05 + 0.05),
            self::pair()->withFalseLines(0.05),
            1e-15,
            'only what is stated can be false',
        );
        self::assertEqualsWithDelta(self::pair()->independent(), self::pair()->withFalseLines(0.0), 1e-15);
    }

    public function testTreesOfSeveralAgesCountByTheirShare(): void
    {
        $pair = new PairBound([[0.6, ['a' => 0.1], []], [0.4, ['a' => 0.2], []]]);
        self::assertEqualsWithDelta(0.14, $pair->independent(), 1e-15);
    }

    private static function pair(): PairBound
    {
        return new PairBound([[1.0, ['a' => 0.1, 'b' => 0.02, 'c' => 0.05], ['a', 'c']]]);
    }
}

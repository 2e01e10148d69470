<?php

declare(strict_types=1);

namespace App\Tests\Core\Flora;

use Hylognosis\Flora\NumberRange;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NumberRangeTest extends TestCase
{
    /** @return iterable<string, array{string, float, float, float, float}> */
    public static function texts(): iterable
    {
        yield 'with both extremes' => ['(3–)5–9(–12)', 3, 5, 9, 12];
        yield 'with hyphens and spaces' => ['(3-) 5-9 (-12)', 3, 5, 9, 12];
        yield 'without extremes' => ['5–9', 5, 5, 9, 9];
        yield 'with an upper extreme' => ['1(–3)', 1, 1, 1, 3];
        yield 'one number' => ['7', 7, 7, 7, 7];
        yield 'fractions' => ['(1.5–)2–6', 1.5, 2, 6, 6];
    }

    #[DataProvider('texts')]
    public function testReadsWhatFlorasPrint(string $text, float $least, float $low, float $high, float $most): void
    {
        $range = NumberRange::parse($text);
        self::assertSame([$least, $low, $high, $most], [$range->least, $range->low, $range->high, $range->most]);
        self::assertEquals($range, NumberRange::parse((string) $range));
    }

    /** @return iterable<array{string}> */
    public static function nonsense(): iterable
    {
        yield ['5–'];
        yield ['about 5'];
        yield ['9–5'];
        yield ['(6–)5–9'];
    }

    #[DataProvider('nonsense')]
    public function testRefusesWhatIsNoRange(string $text): void
    {
        $this->expectException(\InvalidArgumentException::class);
        NumberRange::parse($text);
    }

    public function testAllowsExtremesAndNothingBeyond(): void
    {
        $range = NumberRange::parse('(3–)5–9(–12)');
        self::assertTrue($range->allows(3) && $range->allows(12));
        self::assertFalse($range->allows(2) || $range->allows(13));
    }

    public function testSharesOfCountsSumToOneWithNineTenthsInTheNormalRange(): void
    {
        $range = NumberRange::parse('(3–)5–9(–12)');
        $share = static fn (int $n): float => $range->share($n, $n + 1, true);
        self::assertEqualsWithDelta(1.0, array_sum(array_map($share, range(0, 20))), 1e-12);
        self::assertEqualsWithDelta(0.9, array_sum(array_map($share, range(5, 9))), 1e-12);
        self::assertSame(0.0, $share(13));
    }

    public function testSharesOfMeasuresSumToOne(): void
    {
        foreach (['(3–)5–9(–12)', '5–9', '7', '(1–)2'] as $text) {
            self::assertEqualsWithDelta(1.0, NumberRange::parse($text)->share(0, 100, false), 1e-12, $text);
        }
    }
}

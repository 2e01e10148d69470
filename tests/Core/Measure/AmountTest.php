<?php

declare(strict_types=1);

namespace App\Tests\Core\Measure;

use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\Length;
use PHPUnit\Framework\TestCase;

final class AmountTest extends TestCase
{
    public function testConvertsExactlyBetweenTheSystems(): void
    {
        self::assertEqualsWithDelta(
            1.0,
            Amount::of(453.59237, AmountUnit::Grams)->in(AmountUnit::Pounds)->value,
            1e-12,
        );
        self::assertEqualsWithDelta(16.0, Amount::of(1, AmountUnit::Pounds)->in(AmountUnit::Ounces)->value, 1e-12);
        self::assertSame(AmountUnit::Heads, AmountUnit::Heads->counterpart(true));
        self::assertSame(
            '1.54 lb',
            Amount::of(0.7, AmountUnit::Kilograms)->in(AmountUnit::Kilograms->counterpart(true))->words(),
        );
    }

    public function testRefusesNothingAndTooMuch(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Amount::of(0, AmountUnit::Grams);
    }

    public function testLengths(): void
    {
        self::assertEqualsWithDelta(30.48, Length::of(1, 'ft')->in('cm'), 1e-12);
        self::assertEqualsWithDelta(2.0, Length::of(5.08, 'cm')->inches(), 1e-12);
        $this->expectExceptionMessage('"yd" is no unit of length');
        Length::of(1, 'yd');
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Core\Crop;

use Hylognosis\Crop\DoubtfulTake;
use Hylognosis\Crop\TakeDoubt;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\TakeWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A number mistyped and a tree emptied are asked about; what a generous year may give is not. */
final class DoubtfulTakeTest extends TestCase
{
    /** @return iterable<string, array{float, AmountUnit, int, list<TakeDoubt>}> */
    public static function takes(): iterable
    {
        yield 'a good year' => [1.8, AmountUnit::Kilograms, 70, []];
        yield 'a better one than most' => [3.9, AmountUnit::Kilograms, 70, []];
        yield 'grams typed for kilograms' => [1800, AmountUnit::Kilograms, 70, [TakeDoubt::MoreThanItBears]];
        yield 'the same in grams' => [1800, AmountUnit::Grams, 70, []];
        yield 'in pounds, just above' => [8.9, AmountUnit::Pounds, 70, [TakeDoubt::MoreThanItBears]];
        yield 'by the litre nobody knows' => [400, AmountUnit::Litres, 70, []];
        yield 'a third is left' => [1, AmountUnit::Kilograms, 33, []];
        yield 'less' => [1, AmountUnit::Kilograms, 30, [TakeDoubt::LittleLeft]];
        yield 'both' => [40, AmountUnit::Kilograms, 0, [TakeDoubt::MoreThanItBears, TakeDoubt::LittleLeft]];
    }

    /** @param list<TakeDoubt> $doubts */
    #[DataProvider('takes')]
    public function testWhatIsAskedAbout(float $amount, AmountUnit $unit, int $left, array $doubts): void
    {
        self::assertSame($doubts, DoubtfulTake::of(Amount::of($amount, $unit), $left, self::hazel())->doubts);
    }

    public function testWhereNobodyKnowsWhatATreeBearsNoAmountIsDoubted(): void
    {
        self::assertSame([], DoubtfulTake::of(Amount::of(900, AmountUnit::Kilograms), 50, null)->doubts);
    }

    public function testItIsSaidInTheReadersUnits(): void
    {
        $both = DoubtfulTake::of(Amount::of(40, AmountUnit::Kilograms), 10, self::hazel());
        self::assertStringContainsString('(0.3 kg to 2 kg)', TakeWords::doubts($both, Units::Metric));
        self::assertStringContainsString('(0.66 lb to 4.41 lb)', TakeWords::doubts($both, Units::Imperial));
        self::assertStringContainsString('Only 10 % are left', TakeWords::doubts($both, Units::Metric));
        $none = DoubtfulTake::of(Amount::of(1, AmountUnit::Kilograms), 0, self::hazel());
        self::assertStringStartsWith('Nothing is left on the tree', TakeWords::doubts($none, Units::Metric));
    }

    private static function hazel(): TypicalCrop
    {
        [$least, $most] = [Amount::of(0.3, AmountUnit::Kilograms), Amount::of(2, AmountUnit::Kilograms)];

        return new TypicalCrop($least, $most, [], null, false);
    }
}

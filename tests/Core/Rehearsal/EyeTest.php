<?php

declare(strict_types=1);

namespace App\Tests\Core\Rehearsal;

use App\Tests\Support\Starter;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Eye;
use Hylognosis\Rehearsal\ReadValues;
use Hylognosis\Rehearsal\Showing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EyeTest extends TestCase
{
    /** @return iterable<string, array{ExaminerKind}> */
    public static function kinds(): iterable
    {
        foreach (ExaminerKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function testMisreadsAsOftenAsItsKindOnAverage(ExaminerKind $kind): void
    {
        $eye = Eye::of($kind, Starter::compiled());
        $rates = array_map(static fn ($c): float => $eye->rate($c), Starter::flora()->characters);
        self::assertEqualsWithDelta($kind->rate(), array_sum($rates) / \count($rates), 0.1 * $kind->rate());
        self::assertGreaterThan(
            $eye->rate(Starter::flora()->character('leaf.arrangement')),
            $eye->rate(Starter::flora()->character('bark.colour')),
        );
    }

    #[DataProvider('kinds')]
    public function testWhatALookCanReadIsADistributionForEveryCharacterAndTaxon(ExaminerKind $kind): void
    {
        $eye = Eye::of($kind, Starter::compiled());
        foreach (Starter::compiled()->characters as $id => $character) {
            foreach (Starter::compiled()->numbers as $taxon => $number) {
                $showing = Showing::of($character, $number);
                if (null === $showing) {
                    self::assertArrayHasKey($number, $character->inapplicable, "$id $taxon");
                    continue;
                }
                self::assertEqualsWithDelta(1.0, array_sum($showing->shares), 1e-9, "$id $taxon");
                $reads = $eye->reads($character, $showing, 0);
                // a number that no other taxon shows otherwise cannot be misread
                self::assertEqualsWithDelta(
                    1.0,
                    array_sum(array_map(static fn (ReadValues $r): float => $r->probability, $reads)),
                    $character->character->isNumeric() ? $eye->rate($character->character) + 1e-9 : 1e-9,
                    "$id $taxon",
                );
            }
        }
    }

    public function testMisreadsMostlyAsTheFloraNamesIt(): void
    {
        $character = Starter::compiled()->characters['twig.pith'];
        $white =
            Showing::of($character, Starter::compiled()->numbers['sambucus-nigra']) ?? self::fail('elder has pith');
        $wrong = [];
        foreach (Eye::of(ExaminerKind::Careful, Starter::compiled())->reads($character, $white, 0) as $read) {
            $wrong[(string) $read->values[0]] = $read->probability;
        }
        self::assertGreaterThan(3 * $wrong['hollow'], $wrong['brown-wide']);
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Core\Survey;

use App\Tests\Support\Starter;
use Hylognosis\Flora\Taxon;
use Hylognosis\Survey\CountClass;
use Hylognosis\Survey\Gap;
use Hylognosis\Survey\SeenMark;
use Hylognosis\Survey\Settled;
use Hylognosis\Survey\Sheet;
use Hylognosis\Survey\SheetMatter;
use Hylognosis\Survey\SheetReason;
use Hylognosis\Survey\WalkedTree;
use PHPUnit\Framework\TestCase;

/** On which of the three sheets a tree stands, and why. */
final class WalkedTreeTest extends TestCase
{
    public function testWhatNobodyHasSettledIsADangerAndNoMaterial(): void
    {
        $tree = self::walked([], gap: Gap::BarkOnly);
        self::assertSame([SheetMatter::Unknown], self::matters($tree, Sheet::Dangers));
        self::assertSame([], $tree->on(Sheet::Materials));
    }

    public function testDangersTellTheWorstFirstAndWhomAllTheyHarm(): void
    {
        $reasons = self::walked(['taxus-baccata'])->on(Sheet::Dangers);
        $ranks = array_map(static fn (SheetReason $r): int => (int) $r->severity?->rank(), $reasons);
        $sorted = $ranks;
        rsort($sorted);
        self::assertSame($sorted, $ranks);
        self::assertSame(3, $ranks[0]);
        $told = array_merge(...array_map(static fn (SheetReason $r): array => $r->whom, $reasons));
        self::assertContains('people', $told);
        self::assertContains('horses', $told);
    }

    public function testAGroupIsNoMaterialAndEveryMemberIsADanger(): void
    {
        $group = self::walked(['sambucus-nigra', 'taxus-baccata']);
        self::assertSame([], $group->on(Sheet::Materials));
        self::assertSame('deadly', $group->on(Sheet::Dangers)[0]->severity?->value);
        $one = self::walked(['sambucus-nigra']);
        self::assertContains(SheetMatter::Part, self::matters($one, Sheet::Materials));
    }

    public function testEveryMarkStandsOnOneSheet(): void
    {
        foreach (SeenMark::cases() as $mark) {
            $tree = self::walked(['sambucus-nigra'], marks: [$mark]);
            $on = array_filter(
                Sheet::cases(),
                static fn (Sheet $s): bool => [] !==
                    array_filter($tree->on($s), static fn (SheetReason $r): bool => SheetMatter::Seen === $r->what),
            );
            self::assertSame([$mark->sheet()], array_values($on));
        }
        self::assertTrue(SeenMark::LimbHanging->wantsArborist());
        self::assertTrue(SeenMark::Hollow->wantsArborist());
        self::assertFalse(SeenMark::Nest->wantsArborist());
    }

    public function testWhatTablesSayStandsWhereItBelongs(): void
    {
        $known = [new SheetReason(SheetMatter::Invasive, 'Suckers.'), new SheetReason(SheetMatter::Splits)];
        $tree = self::walked(['sambucus-nigra'], known: $known, isProtectedHere: true);
        self::assertContains(SheetMatter::Invasive, self::matters($tree, Sheet::Keep));
        self::assertContains(SheetMatter::ProtectedHere, self::matters($tree, Sheet::Keep));
        self::assertContains(SheetMatter::Splits, self::matters($tree, Sheet::Materials));
        self::assertNotContains(SheetMatter::Splits, self::matters($tree, Sheet::Keep));
    }

    public function testCountClassesFollowOneAnother(): void
    {
        $next = 1;
        foreach (CountClass::cases() as $class) {
            [$from, $to] = $class->bounds();
            self::assertSame($next, $from);
            $next = ($to ?? 0) + 1;
        }
        self::assertSame(1, $next, 'the last has no end');
    }

    /**
     * @param list<string>      $kinds
     * @param list<SeenMark>    $marks
     * @param list<SheetReason> $known
     */
    private static function walked(
        array $kinds,
        array $marks = [],
        array $known = [],
        ?Gap $gap = null,
        bool $isProtectedHere = false,
    ): WalkedTree {
        $taxa = array_map(static fn (string $id): Taxon => Starter::flora()->taxa[$id], $kinds);
        $settled = [Settled::Open, Settled::Examined, Settled::Group][min(2, \count($taxa))];

        return new WalkedTree('t', $taxa, $settled, $gap, CountClass::One, $marks, $isProtectedHere, $known);
    }

    /** @return list<SheetMatter> */
    private static function matters(WalkedTree $tree, Sheet $sheet): array
    {
        return array_map(static fn (SheetReason $r): SheetMatter => $r->what, $tree->on($sheet));
    }
}

<?php

declare(strict_types=1);

namespace App\Tests\Core\Learning;

use Hylognosis\Learning\LearnersDecision;
use Hylognosis\Learning\TrustAccount;
use Hylognosis\Learning\TrustLook;
use Hylognosis\Learning\TrustOutcome;
use Hylognosis\Learning\TrustTerms;
use PHPUnit\Framework\TestCase;

/** What counts of somebody's looks, and when it is enough. */
final class TrustAccountTest extends TestCase
{
    public function testEnoughOfEachAndNothingWrong(): void
    {
        $known = self::tree('l', 'dwarf', 'dwarf');
        $looks = [self::tree('a'), self::tree('b'), $known, self::trap('t1'), self::trap('t2')];
        self::assertTrue(self::account($looks)->isEarned());
        foreach (array_keys($looks) as $i) {
            self::assertFalse(self::account(array_diff_key($looks, [$i => 1]))->isEarned(), "without look $i");
        }
        $wrong = self::account([...$looks, self::tree('x', 'dwarf', 'elder')]);
        self::assertSame(1, $wrong->count(TrustOutcome::ClearedWrongly));
        self::assertFalse($wrong->isEarned());
        $taken = TrustLook::inPractice('p', false, LearnersDecision::Take, new \DateTimeImmutable('2027-05-01'));
        self::assertFalse(self::account([...$looks, $taken])->isEarned());
    }

    public function testATreeCountsOnceAndAnOldLookNotAtAll(): void
    {
        $again = self::account([self::tree('a'), self::tree('a'), self::tree('a', on: '2026-01-01')]);
        self::assertSame(1, $again->count(TrustOutcome::Agreed));
        self::assertSame(0, self::account([self::tree('a', on: '2025-01-01')])->count(TrustOutcome::Agreed));
        $onceWrong = self::account([self::tree('a', on: '2027-05-02'), self::tree('a', 'dwarf', 'elder')]);
        self::assertSame(1, $onceWrong->count(TrustOutcome::ClearedWrongly), 'a later look does not wash it off');
    }

    public function testWhatNeitherIsItNorIsMistakenForItSaysNothing(): void
    {
        foreach ([['elder', ''], ['elder', 'dwarf'], ['dwarf', ''], ['oak', 'oak']] as [$truth, $named]) {
            self::assertSame([], self::account([self::tree('a', $truth, $named)])->looks, "$truth read as $named");
        }
        $left = TrustLook::inPractice('p', true, LearnersDecision::Take, new \DateTimeImmutable('2027-05-01'));
        self::assertSame(TrustOutcome::Nothing, $left->outcome, 'that one was the tree');
    }

    public function testTermsHaveRanges(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new TrustTerms(0, 0, 0, 12, 12);
    }

    /** @param array<int, TrustLook> $looks */
    private static function account(array $looks): TrustAccount
    {
        return TrustAccount::of(
            new TrustTerms(2, 1, 2, 18, 12),
            array_values($looks),
            new \DateTimeImmutable('2027-06-14'),
        );
    }

    private static function tree(
        string $tree,
        string $truth = 'elder',
        string $named = 'elder',
        string $on = '2027-05-01',
    ): TrustLook {
        return TrustLook::atATree(
            $tree.$on,
            $tree,
            $truth,
            $named,
            ['elder'],
            ['dwarf', 'yew'],
            new \DateTimeImmutable($on),
        );
    }

    private static function trap(string $id): TrustLook
    {
        return TrustLook::inPractice($id, false, LearnersDecision::NotYet, new \DateTimeImmutable('2027-05-01'));
    }
}

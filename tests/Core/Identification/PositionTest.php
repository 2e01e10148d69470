<?php

declare(strict_types=1);

namespace App\Tests\Core\Identification;

use App\Tests\Support\Starter;
use Hylognosis\Document\DocumentError;
use Hylognosis\Examination\Certainty;
use Hylognosis\Examination\Finding;
use Hylognosis\Examination\Observation;
use Hylognosis\Examination\Whereabouts;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Position;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\Identifier;
use PHPUnit\Framework\TestCase;

final class PositionTest extends TestCase
{
    public function testTwoBarksOfOneTreeDoNotDisagree(): void
    {
        $finding = Finding::of([self::bark('corky', Position::Low), self::bark('smooth', Position::High)]);
        self::assertFalse($finding->disagrees);
        self::assertCount(2, $finding->decidingReadings());
        self::assertTrue(
            Finding::of([self::bark('corky', Position::Low), self::bark('smooth', Position::Low)])->disagrees,
        );
    }

    public function testWhatIsReadUpInTheCrownIsHeldAgainstTheCrown(): void
    {
        $flora = Starter::changed(['taxa/robinia-pseudoacacia/positions' => ['high' => ['bark.surface' => 'smooth']]]);
        $compiled = CompiledFlora::of($flora, LifeStage::Mature);
        $number = $compiled->numbers['robinia-pseudoacacia'];
        $character = $flora->character('bark.surface');
        self::assertTrue(
            $compiled->isUnusual(
                $number,
                $character,
                Finding::of([self::bark('smooth', Position::Low)])->readings()[0],
            ),
        );
        self::assertFalse(
            $compiled->isUnusual(
                $number,
                $character,
                Finding::of([self::bark('smooth', Position::High)])->readings()[0],
            ),
        );
        $with = static fn (Position $p): float => (new Identifier())
            ->identify($compiled, Starter::examination([self::bark('smooth', $p)]))
            ->posteriorOf('robinia-pseudoacacia');
        self::assertGreaterThan(10 * $with(Position::Low), $with(Position::High));
    }

    public function testAHeightWhereItMakesNoDifferenceIsRefused(): void
    {
        try {
            Observation::ofStates(
                Starter::flora()->character('leaf.arrangement'),
                ['opposite'],
                Certainty::Sure,
                1,
                Whereabouts::Tree,
                Position::High,
            );
            self::fail('was taken');
        } catch (\InvalidArgumentException $e) {
            self::assertStringContainsString('leaf.arrangement', $e->getMessage());
        }
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('positions.high.leaf.arrangement');
        Starter::changed(['taxa/robinia-pseudoacacia/positions' => ['high' => ['leaf.arrangement' => 'opposite']]]);
    }

    private static function bark(string $state, Position $position): Observation
    {
        return Observation::ofStates(
            Starter::flora()->character('bark.surface'),
            [$state],
            Certainty::Sure,
            1,
            Whereabouts::Tree,
            $position,
        );
    }
}

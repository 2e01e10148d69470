<?php

declare(strict_types=1);

namespace App\Tests\Reference;

use PHPUnit\Framework\TestCase;

/** A small run of what `run-hostile.php` does at length. */
final class HostileTest extends TestCase
{
    public function testTheGateAgreesWithASecondReckoningOfTheNinePoints(): void
    {
        $hostile = new Hostile('A', 20261126);
        $hostile->run(500);
        self::assertSame([], $hostile->faults);
        self::assertGreaterThan(3, $hostile->cleared, 'A gate that stays shut proves nothing.');
    }
}

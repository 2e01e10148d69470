<?php

declare(strict_types=1);

namespace App\Tests\Core\Measure;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\NoSuchDay;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CalendarDayTest extends TestCase
{
    #[TestWith(['2027-02-29'])]
    #[TestWith(['2027-6-14'])]
    #[TestWith(['14.06.2027'])]
    #[TestWith(['2027-06-14 10:00'])]
    #[TestWith([''])]
    public function testWhatIsNoDayIsRefused(string $text): void
    {
        $this->expectException(NoSuchDay::class);
        CalendarDay::parse($text);
    }

    public function testAMomentIsOfTheDayTheClockOnTheWallShows(): void
    {
        $night = new \DateTimeImmutable('2027-03-28 00:30', new \DateTimeZone('Europe/Vienna'));
        self::assertEquals(
            CalendarDay::parse('2027-03-28'),
            CalendarDay::of($night),
            'though it is the 27th in universal time',
        );
        self::assertSame('2027-03-28', CalendarDay::iso(CalendarDay::of($night)));
        self::assertSame(
            1,
            CalendarDay::between(
                $night,
                new \DateTimeImmutable('2027-03-29 00:10', new \DateTimeZone('Europe/Vienna')),
            ),
            'the clocks went on that night',
        );
    }
}

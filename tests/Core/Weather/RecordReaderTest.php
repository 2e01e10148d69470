<?php

declare(strict_types=1);

namespace App\Tests\Core\Weather;

use Hylognosis\Measure\CalendarDay;
use Hylognosis\Weather\RecordReader;
use Hylognosis\Weather\Records;
use Hylognosis\Weather\UnusableRecords;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Tables of stations, as services and loggers write them. */
final class RecordReaderTest extends TestCase
{
    /**
     * Two days, −1.5 to 8 °C with 2.54 mm and gusts of 10 m/s, then 0 to 10 °C; orders, signs and units as they are
     * met.
     */
    #[TestWith(["date,tmin,tmax,rain,gust\n2026-03-01,-1.5,8,2.54,10\n2026-03-02,0,10,,\n", 'c', 'mm', 'ms'])]
    #[TestWith(["TXK;TNK;MESS_DATUM;RSK;FX\n8,0;-1,5;20260301;2,54;10\n10;0;20260302;-999;-999\n", 'c', 'mm', 'ms'])]
    #[TestWith([
        "Station: Hill farm\n\nDatum\tTmax [°C]\tTmin [°C]\tRR (mm)\tFX\n01.03.2026\t8\t-1,5\t2,54\t36\n02.03.2026\t10\t0\t\t\n",
        'c',
        'mm',
        'kmh',
    ])]
    #[TestWith([
        "\"DATE\",\"PRCP\",\"TMAX\",\"TMIN\",\"WSFG\"\n\"2026-03-01\",\"0.1\",\"46.4\",\"29.3\",\"22.369\"\n\"2026-03-02\",\"\",\"50\",\"32\",\"\"\n",
        'f',
        'in',
        'mph',
    ])]
    public function testUsualOrdersSignsAndUnits(string $file, string $temperature, string $rain, string $wind): void
    {
        $records = self::read($file, $temperature, $rain, $wind);
        self::assertCount(2, $records->days);
        [$first, $second] = $records->days;
        self::assertSame('2026-03-01', CalendarDay::iso($first->day));
        self::assertEqualsWithDelta(-1.5, $first->least->celsius, 1e-9);
        self::assertEqualsWithDelta(8.0, $first->greatest->celsius, 1e-9);
        self::assertEqualsWithDelta(2.54, (float) $first->rainMillimetres, 1e-9);
        self::assertEqualsWithDelta(10.0, (float) $first->gustMetresPerSecond, 1e-3);
        self::assertNull($second->rainMillimetres, 'not measured is not nought');
    }

    public function testDaysThatAreMissingAreShown(): void
    {
        $records = self::read("date,tmin,tmax\n2026-02-27,1,5\n2026-03-02,1,5\n2026-03-03,,5\n2026-03-05,1,5\n");
        self::assertSame(1, $records->empty);
        self::assertSame(
            [['2026-02-28', '2026-03-01'], ['2026-03-03', '2026-03-04']],
            array_map(static fn (array $g): array => array_map(CalendarDay::iso(...), $g), $records->gaps()),
        );
    }

    public function testWhichOfDayAndMonthComesFirstIsChosen(): void
    {
        $file = "date,tmin,tmax\n03/04/2026,1,5\n";
        self::assertSame('2026-04-03', CalendarDay::iso(self::read($file)->days[0]->day));
        $month = (new RecordReader(dates: 'month'))->read($file);
        self::assertSame('2026-03-04', CalendarDay::iso($month->days[0]->day));
    }

    #[TestWith(['', 1, '', 'No line names'])]
    #[TestWith(["a,b,c\n1,2,3\n", 1, '', 'No line names'])]
    #[TestWith(["date,tmin\n2026-03-01,1\n", 1, '', 'No line names'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,1,5\n2026-02-30,1,5\n", 3, 'day', 'is no day'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,cold,5\n", 2, 'least', 'is no number'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,6,5\n", 2, '', 'above its greatest'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,1,85\n", 2, '', 'between -95 and 60'])]
    #[TestWith(["date,tmin,tmax,rain\n2026-03-01,1,5,-2\n", 2, '', 'no rain of -2'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,1,5\n2026-03-01,1,5\n", 3, 'day', 'stands twice'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,,5\n", 1, '', 'No day in it'])]
    #[TestWith(["date,tmin,tmax\n2026-03-01,\xE4,5\n", 1, '', 'not UTF-8'])]
    public function testWhatCannotBeReadSaysWhere(string $file, int $line, string $column, string $reason): void
    {
        try {
            self::read($file);
            self::fail('It was read.');
        } catch (UnusableRecords $bad) {
            self::assertSame([$line, $column], \array_slice($bad->faults[0], 0, 2));
            self::assertStringContainsString($reason, $bad->getMessage());
        }
    }

    private static function read(
        string $file,
        string $temperature = 'c',
        string $rain = 'mm',
        string $wind = 'ms',
    ): Records {
        \assert(\in_array($temperature, ['c', 'f'], true) && \in_array($rain, ['mm', 'in'], true));
        \assert(\in_array($wind, ['ms', 'kmh', 'mph', 'kn'], true));

        return (new RecordReader($temperature, $rain, $wind))->read($file);
    }
}

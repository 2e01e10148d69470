<?php

declare(strict_types=1);

namespace App\Tests\Core\Position;

use Hylognosis\Position\NmeaReader;
use Hylognosis\Position\NmeaSentence;
use Hylognosis\Position\UnusableSentence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a position receiver sends is taken for no more than it says. */
final class NmeaReaderTest extends TestCase
{
    /** The worked example of the standard's many descriptions: 48° 07.038' N, 11° 31.000' E, checksum 47 (memory). */
    private const GGA = '$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47';
    private const RMC = '$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A';

    public function testThePublishedExample(): void
    {
        foreach ([self::GGA, self::RMC] as $line) {
            ['fix' => $fix, 'damaged' => $damaged] = (new NmeaReader())->read([$line."\r\n"]);
            self::assertNotNull($fix);
            self::assertEqualsWithDelta(48 + 7.038 / 60, $fix->latitude, 1e-9);
            self::assertEqualsWithDelta(11 + 31 / 60, $fix->longitude, 1e-9);
            self::assertSame('12:35:19', $fix->time);
            self::assertSame(0, $damaged);
        }
        $fix = (new NmeaReader())->read([self::GGA])['fix'];
        self::assertSame(8, $fix?->satellites);
        self::assertEqualsWithDelta(545.4, (float) $fix->altitude?->metres(), 1e-9);
        self::assertEqualsWithDelta(4.5, (float) $fix->uncertainty?->metres(), 1e-9, 'dilution times 5 m');
    }

    public function testWhatTheReceiverSaysOfItsErrorGoesBeforeTheDilution(): void
    {
        $gst = NmeaSentence::write('GPGST', ['123519', '6.0', '', '', '', '3.0', '4.0', '9.0']);
        self::assertEqualsWithDelta(
            5.0,
            (float) (new NmeaReader())->read([self::GGA, $gst])['fix']?->uncertainty?->metres(),
            1e-9,
        );
    }

    public function testASouthernAndWesternPlaceIsBelowZero(): void
    {
        $line = NmeaSentence::write('GNGGA', ['010203', '3352.0', 'S', '07030.0', 'W', '1', '07', '1.0', '', 'M', '', 'M', '', '']);
        $fix = (new NmeaReader())->read([$line])['fix'];
        self::assertEqualsWithDelta(-33.8666667, (float) $fix?->latitude, 1e-6);
        self::assertEqualsWithDelta(-70.5, (float) $fix?->longitude, 1e-9);
        self::assertNull($fix?->altitude);
    }

    public function testALostSignalTakesThePlaceBeforeAway(): void
    {
        $lost = NmeaSentence::write('GPGGA', ['123520', '', '', '', '', '0', '00', '', '', 'M', '', 'M', '', '']);
        self::assertSame(
            ['fix' => null, 'damaged' => 0, 'because' => 'no-signal'],
            (new NmeaReader())->read([self::GGA, $lost]),
        );
        self::assertSame('silent', (new NmeaReader())->read(['', '$GPGSV,1,1,00*79'])['because']);
    }

    /** @return iterable<string, array{string}> */
    public static function damaged(): iterable
    {
        yield 'a digit changed' => [str_replace('4807', '4817', self::GGA)];
        yield 'no checksum' => [substr(self::GGA, 0, -3)];
        yield 'a wrong checksum' => [substr(self::GGA, 0, -2).'46'];
        yield 'cut short' => [substr(self::GGA, 0, 30)];
        yield 'too long' => ['$GPGGA,'.str_repeat('1', 90).'*00'];
        foreach (
            [
                'ninety-one degrees' => ['9100.000', 'N', '01131.000', 'E'],
                'sixty minutes' => ['4860.000', 'N', '01131.000', 'E'],
                'no side' => ['4807.038', 'X', '01131.000', 'E'],
                'letters' => ['48o7.038', 'N', '01131.000', 'E'],
                'empty' => ['', '', '', ''],
            ] as $what => $place
        ) {
            yield $what => [NmeaSentence::write('GPGGA', ['123519', ...$place, '1', '08', '0.9', '545.4', 'M', '46.9', 'M', '', ''])];
        }
    }

    #[DataProvider('damaged')]
    public function testWhatCameOverDamagedIsNoPlace(string $line): void
    {
        self::assertSame(
            ['fix' => null, 'damaged' => 1, 'because' => 'damaged'],
            (new NmeaReader())->read([$line]),
        );
    }

    public function testAReaderOfOneSentenceSaysWhatIsWrong(): void
    {
        $this->expectException(UnusableSentence::class);
        $this->expectExceptionMessage('Its checksum is 47, not 48');
        NmeaSentence::read(substr(self::GGA, 0, -2).'48');
    }
}

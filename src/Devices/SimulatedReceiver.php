<?php

declare(strict_types=1);

namespace App\Devices;

use Hylognosis\Position\NmeaSentence;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Plays a receiver that is carried along a walk: it errs by so much, and loses its signal when told to. */
#[AsAlias(PositionReceiver::class)]
final readonly class SimulatedReceiver implements PositionReceiver
{
    private const METRES_PER_DEGREE = 111_195.0;

    public function __construct(
        private StandInSettings $settings,
        #[Autowire(service: 'clock')] private ClockInterface $clock,
    ) {
    }

    public function isStandIn(): bool
    {
        return true;
    }

    public function sentences(string $person): array
    {
        $walk = $this->settings->walk($person);
        if (null === $walk) {
            return [];
        }
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $time = $now->format('His').'.00';
        if ($walk['lost']) {
            return [
                NmeaSentence::write('GPGGA', [$time, '', '', '', '', '0', '00', '', '', 'M', '', 'M', '', '']),
                NmeaSentence::write('GPRMC', [$time, 'V', '', '', '', '', '', '', $now->format('dmy'), '', '', 'N']),
            ];
        }
        $gone = $walk['speed'] * ($now->getTimestamp() - $walk['since']);
        // wanders about the true place as a receiver does, the same at the same second
        $turn = 2 * \M_PI * fmod($now->getTimestamp() * 0.137, 1);
        $off = $walk['error'] * (0.4 + 0.6 * abs(sin($now->getTimestamp() * 0.731)));
        $north = $gone * cos(deg2rad($walk['heading'])) + $off * sin($turn);
        $east = $gone * sin(deg2rad($walk['heading'])) + $off * cos($turn);
        $latitude = $walk['latitude'] + $north / self::METRES_PER_DEGREE;
        $longitude =
            $walk['longitude'] + $east / (self::METRES_PER_DEGREE * max(0.01, cos(deg2rad($walk['latitude']))));
        $latitude = max(-90.0, min(90.0, $latitude));
        $longitude = fmod($longitude + 540, 360) - 180;
        [$lat, $ns] = [self::minutes($latitude, 2), $latitude < 0 ? 'S' : 'N'];
        [$lon, $ew] = [self::minutes($longitude, 3), $longitude < 0 ? 'W' : 'E'];
        $dilution = \sprintf('%.1f', max(0.6, $walk['error'] / 5));
        $sigma = \sprintf('%.1f', $walk['error'] / sqrt(2));

        return [
            NmeaSentence::write('GPGGA', [
                $time,
                $lat,
                $ns,
                $lon,
                $ew,
                '1',
                '09',
                $dilution,
                '560.0',
                'M',
                '47.0',
                'M',
                '',
                '',
            ]),
            NmeaSentence::write('GPRMC', [
                $time,
                'A',
                $lat,
                $ns,
                $lon,
                $ew,
                \sprintf('%.1f', $walk['speed'] * 1.943844),
                \sprintf('%.1f', $walk['heading']),
                $now->format('dmy'),
                '',
                '',
                'A',
            ]),
            NmeaSentence::write('GPGST', [$time, $sigma, '', '', '', $sigma, $sigma, '9.0']),
        ];
    }

    private static function minutes(float $degrees, int $digits): string
    {
        $minutes = round(abs($degrees) * 60, 5);
        $whole = (int) floor($minutes / 60);

        return \sprintf('%0'.$digits.'d%08.5f', $whole, $minutes - $whole * 60);
    }
}

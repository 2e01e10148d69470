<?php

declare(strict_types=1);

namespace Hylognosis\Position;

use Hylognosis\Measure\Length;

/**
 * Reads what a position receiver sends: GGA and RMC for the place, GST for how sure it is. The last place counts; what
 * came over damaged is left out and counted.
 */
final readonly class NmeaReader
{
    /**
     * Range error of a receiver under open sky, metres: times the dilution of precision it makes the radius where no
     * GST
     * is sent. Common practice.
     */
    private const RANGE_ERROR = 5.0;
    private const KNOWN = ['GGA', 'RMC', 'GST'];

    /**
     * @param list<string> $lines as they come
     *
     * @return array{fix: Fix|null, damaged: int, because: string} why there is no place, in a word: `silent`, `damaged`,
     *     `no-signal`; empty where there is one
     */
    public function read(array $lines): array
    {
        $fix = null;
        $sigma = null;
        $damaged = 0;
        $spoke = false;
        foreach ($lines as $line) {
            if ('' === trim($line)) {
                continue;
            }
            try {
                $sentence = NmeaSentence::read($line);
                if (!\in_array($sentence->kind, self::KNOWN, true)) {
                    continue;
                }
                if ('GST' === $sentence->kind) {
                    $sigma = self::sigma($sentence) ?? $sigma;
                } else {
                    // where the signal is lost, the place before is no place any more
                    $fix = 'GGA' === $sentence->kind ? self::ofGga($sentence) : self::ofRmc($sentence, $fix);
                }
                $spoke = true;
            } catch (UnusableSentence) {
                ++$damaged;
            }
        }
        if (null !== $fix && null !== $sigma) {
            $fix = new Fix($fix->latitude, $fix->longitude, $fix->altitude, $sigma, $fix->satellites, $fix->time);
        }

        return [
            'fix' => $fix,
            'damaged' => $damaged,
            'because' => match (true) {
                null !== $fix => '',
                $spoke => 'no-signal',
                $damaged > 0 => 'damaged',
                default => 'silent',
            },
        ];
    }

    /** @throws UnusableSentence */
    private static function ofGga(NmeaSentence $s): ?Fix
    {
        if ('' === $s->field(5) || '0' === $s->field(5)) {
            return null;
        }
        $dilution = self::number($s->field(7), 0, 100);
        $altitude = self::number($s->field(8), -1000, 20_000);

        return new Fix(
            self::degrees($s->field(1), $s->field(2), 'N', 'S', 2, 90),
            self::degrees($s->field(3), $s->field(4), 'E', 'W', 3, 180),
            null === $altitude ? null : Length::ofMetres($altitude),
            null === $dilution ? null : Length::ofMetres($dilution * self::RANGE_ERROR),
            (int) (self::number($s->field(6), 0, 200) ?? 0),
            self::time($s->field(0)),
        );
    }

    /** @throws UnusableSentence */
    private static function ofRmc(NmeaSentence $s, ?Fix $before): ?Fix
    {
        if ('A' !== $s->field(1)) {
            return null;
        }
        $time = self::time($s->field(0));
        $same = null !== $before && $before->time === $time ? $before : null;

        return new Fix(
            self::degrees($s->field(2), $s->field(3), 'N', 'S', 2, 90),
            self::degrees($s->field(4), $s->field(5), 'E', 'W', 3, 180),
            $same?->altitude,
            $same?->uncertainty,
            $same?->satellites,
            $time,
        );
    }

    /** @throws UnusableSentence */
    private static function sigma(NmeaSentence $s): ?Length
    {
        $north = self::number($s->field(5), 0, 100_000);
        $east = self::number($s->field(6), 0, 100_000);

        return null === $north || null === $east ? null : Length::ofMetres(sqrt($north ** 2 + $east ** 2));
    }

    /**
     * Degrees and minutes in one number, `4707.2000`.
     *
     * @throws UnusableSentence
     */
    private static function degrees(
        string $number,
        string $side,
        string $plus,
        string $minus,
        int $digits,
        int $most,
    ): float {
        if (
            1 !== preg_match('/^(\d{'.$digits.'})(\d\d(?:\.\d{1,8})?)$/D', $number, $m)
            || !\in_array($side, [$plus, $minus], true)
            || (float) $m[2] >= 60
        ) {
            throw new UnusableSentence(\sprintf('"%s %s" is no place.', $number, $side));
        }
        $degrees = (float) $m[1] + (float) $m[2] / 60;
        if ($degrees > $most) {
            throw new UnusableSentence(\sprintf('%s degrees are no place on the Earth.', $degrees));
        }

        return $side === $plus ? $degrees : -$degrees;
    }

    /** @throws UnusableSentence */
    private static function number(string $text, float $least, float $most): ?float
    {
        if ('' === $text) {
            return null;
        }
        if (
            1 !== preg_match('/^-?\d{1,7}(?:\.\d{1,6})?$/D', $text)
            || (float) $text < $least
            || (float) $text > $most
        ) {
            throw new UnusableSentence(\sprintf('"%s" is no number that can be there.', $text));
        }

        return (float) $text;
    }

    /** @throws UnusableSentence */
    private static function time(string $text): string
    {
        if ('' === $text) {
            return '';
        }

        return 1 === preg_match('/^([01]\d|2[0-3])([0-5]\d)([0-5]\d)(?:\.\d+)?$/D', $text, $m)
            ? $m[1].':'.$m[2].':'.$m[3]
            : throw new UnusableSentence(\sprintf('"%s" is no time of day.', $text));
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Position;

/**
 * One sentence of NMEA 0183: a dollar sign, talker and kind, fields parted by commas, an asterisk, and the exclusive or
 * of all bytes between the two as two hexadecimal digits.
 */
final readonly class NmeaSentence
{
    /** With the line's end; the standard allows no longer ones. */
    private const LONGEST = 82;

    /**
     * @param string       $kind   three letters: GGA, RMC, GST …; whatever talker
     * @param list<string> $fields
     */
    private function __construct(public string $kind, public array $fields)
    {
    }

    /** @throws UnusableSentence if it is none, or came over damaged */
    public static function read(string $line): self
    {
        $line = rtrim($line, "\r\n");
        if (\strlen($line) > self::LONGEST) {
            throw new UnusableSentence(\sprintf('A sentence has at most %d signs.', self::LONGEST));
        }
        if (1 !== preg_match('/^\$([A-Z]{2})([A-Z]{3}),([\x20-\x29\x2B-\x7E]*)\*([0-9A-Fa-f]{2})$/D', $line, $m)) {
            throw new UnusableSentence('It is no sentence of the form $GPGGA,…*hh.');
        }
        $sum = self::sum($m[1].$m[2].','.$m[3]);
        if (strtoupper($m[4]) !== $sum) {
            throw new UnusableSentence(\sprintf('Its checksum is %s, not %s: it came over damaged.', $sum, $m[4]));
        }

        return new self($m[2], explode(',', $m[3]));
    }

    /** @param list<string> $fields */
    public static function write(string $talkerAndKind, array $fields): string
    {
        $body = $talkerAndKind.','.implode(',', $fields);

        return '$'.$body.'*'.self::sum($body);
    }

    public function field(int $number): string
    {
        return $this->fields[$number] ?? '';
    }

    private static function sum(string $body): string
    {
        $sum = 0;
        for ($i = 0, $length = \strlen($body); $i < $length; ++$i) {
            $sum ^= \ord($body[$i]);
        }

        return \sprintf('%02X', $sum);
    }
}

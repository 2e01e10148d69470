<?php

declare(strict_types=1);

namespace Hylognosis\Measure;

/**
 * A day of the calendar is midnight of it in universal time, wherever one is. Only documents and answers hold it as
 * text, `2027-06-14` (ISO 8601).
 */
final readonly class CalendarDay
{
    private const FORM = 'Y-m-d';

    /** @throws NoSuchDay if it is not written like 2027-06-14, or there is no such day */
    public static function parse(string $text): \DateTimeImmutable
    {
        $day = \DateTimeImmutable::createFromFormat('!'.self::FORM, $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format(self::FORM) === $text
            ? $day
            : throw new NoSuchDay(\sprintf('"%s" is no date; write it like 2027-06-14.', $text));
    }

    /** The day of a moment, as the clock on the wall there shows it. */
    public static function of(\DateTimeInterface $moment): \DateTimeImmutable
    {
        return self::parse($moment->format(self::FORM));
    }

    public static function iso(\DateTimeInterface $day): string
    {
        return $day->format(self::FORM);
    }

    /** Days from one day to another; below 0 where that is the earlier one. */
    public static function between(\DateTimeInterface $from, \DateTimeInterface $to): int
    {
        [$first, $last] = [$from->getTimestamp(), $to->getTimestamp()];
        if (0 === $first % 86_400 && 0 === $last % 86_400 && 0 === $from->getOffset() && 0 === $to->getOffset()) {
            return intdiv($last - $first, 86_400); // days as they are held here; asked thousands of times for a year
        }

        return (int) self::of($from)->diff(self::of($to))->format('%r%a');
    }
}

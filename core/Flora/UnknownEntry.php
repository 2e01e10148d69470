<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Something was asked for that the flora does not hold. */
final class UnknownEntry extends \DomainException
{
    /** A longer id is no slip of the pen: nothing is near it. */
    private const LONGEST = 64;

    /** @param list<string> $known */
    public static function of(string $what, string $id, array $known): self
    {
        if (\strlen($id) > self::LONGEST) {
            return new self(
                \sprintf('No %s of that name in this flora; an id has at most %d characters.', $what, self::LONGEST),
            );
        }
        usort($known, static fn (string $a, string $b): int => levenshtein($a, $id) <=> levenshtein($b, $id));

        return new self(
            \sprintf('No %s "%s" in this flora; nearest: %s.', $what, $id, implode(', ', \array_slice($known, 0, 3))),
        );
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** Something was asked for that the flora does not hold. */
final class UnknownEntry extends \DomainException
{
    /** @param list<string> $known */
    public static function of(string $what, string $id, array $known): self
    {
        usort($known, static fn (string $a, string $b): int => levenshtein($a, $id) <=> levenshtein($b, $id));

        return new self(\sprintf('No %s "%s" in this flora; nearest: %s.', $what, $id, implode(', ', \array_slice($known, 0, 3))));
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

/**
 * What one taxon shows that others state they never show: for each character, the chance that a look at it speaks
 * against another taxon.
 */
final class Contrast
{
    /** @var array<string, list<float>> character → taxon number → chance, 0 to 1 */
    private array $rows = [];

    /** The one asked for last: the points, the next look and the dangers all ask for the same. */
    private static ?self $last = null;

    private function __construct(private readonly CompiledFlora $compiled, public readonly int $own)
    {
    }

    /** @param string $taxon what the tree is taken for */
    public static function of(CompiledFlora $compiled, string $taxon): self
    {
        $own = $compiled->numbers[$taxon];

        return self::$last?->compiled === $compiled && self::$last->own === $own
            ? self::$last
            : (self::$last = new self($compiled, $own));
    }

    /** Chance that a tree of the taxon shows something in this character that the other states it never shows. */
    public function against(string $character, int $other): float
    {
        return $this->row($character)[$other];
    }

    /** @return list<float> the same against every taxon, by number */
    public function row(string $character): array
    {
        return $this->rows[$character] ??= $this->reckoned($this->compiled->characters[$character]);
    }

    /** @return list<float> */
    private function reckoned(CompiledCharacter $character): array
    {
        $row = array_fill(0, \count($this->compiled->taxa), 0.0);
        if (isset($character->silent[$this->own]) || isset($character->inapplicable[$this->own])) {
            return $row;
        }
        foreach ($character->shown as $o => $shown) {
            $share = $shown[$this->own];
            foreach (isset($character->unlisted[$o][$this->own]) ? [] : $character->never[$o] as $t => $_) {
                $row[$t] += $share;
            }
        }

        return array_values($row);
    }
}

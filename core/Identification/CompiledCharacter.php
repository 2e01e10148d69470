<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\NumberRange;

/**
 * One character over all taxa of a flora, as the plain arrays the engine runs through. Outcomes are the
 * states, or, for numbers, the intervals between the bounds the descriptions use. To each taxon the character is
 * described, silent (the flora says nothing) or inapplicable (it makes no sense there).
 *
 * @phpstan-type Table array{outcomes: array<string, int>, edges: list<float>, shown: list<list<float>>, misread: list<list<float>>, read: list<list<float>>, spread: list<float>, bitsAtFirst: float, never: list<array<int, true>>, unlisted: list<array<int, true>>, background: list<float>, backgroundSpread: float, silent: array<int, true>, inapplicable: array<int, true>, phenophases: int}
 */
final readonly class CompiledCharacter
{
    /** A reading of a measure stands for so much on both sides of it: a fortieth. */
    private const MEASURED_TO = 0.025;
    /** The numbers of trees outside the flora reach half as far again as those inside. */
    private const BEYOND = 1.5;

    /**
     * @param array<string, int>          $outcomes         state id → outcome; for numbers, empty
     * @param list<float>                 $edges            of the intervals, one more than there are; for states, empty
     * @param list<list<float>>           $shown            outcome → taxon → share of specimens that show it,
     *                                         description error included
     * @param list<list<float>>           $misread          outcome → taxon → share of misreadings that end in it
     * @param list<list<float>>           $read             outcome → taxon → probability that one careful look reads it
     * @param list<float>                 $spread           taxon → entropy of what one careful look reads, in nats
     * @param float                       $bitsAtFirst      what a look at it tells while nothing is scored and all taxa
     *                                         are as likely, in bits
     * @param list<array<int, true>>      $never            outcome → the taxa that state they never show it
     * @param list<array<int, true>>      $unlisted         outcome → the taxa whose description does not list it
     * @param list<float>                 $background       outcome → how often it is met in the flora as a whole
     * @param float                       $backgroundSpread entropy of that, in nats
     * @param array<int, NumberRange>     $ranges           taxon → described range, numbers only
     * @param array<int, true>            $silent           taxa whose description says nothing of the character
     * @param array<int, true>            $inapplicable     taxa on which the character makes no sense
     * @param int                         $phenophases      one bit for each in which it can be seen
     */
    public function __construct(
        public Character $character,
        public array $outcomes,
        public array $edges,
        public array $shown,
        public array $misread,
        public array $read,
        public array $spread,
        public float $bitsAtFirst,
        public array $never,
        public array $unlisted,
        public array $background,
        public float $backgroundSpread,
        public array $ranges,
        public array $silent,
        public array $inapplicable,
        public int $phenophases,
    ) {
    }

    /**
     * Put together again from its {@see table}.
     *
     * @param Table                   $table
     * @param array<int, NumberRange> $ranges taxon → described range
     */
    public static function of(Character $character, array $table, array $ranges): self
    {
        return new self(
            $character,
            $table['outcomes'],
            $table['edges'],
            $table['shown'],
            $table['misread'],
            $table['read'],
            $table['spread'],
            $table['bitsAtFirst'],
            $table['never'],
            $table['unlisted'],
            $table['background'],
            $table['backgroundSpread'],
            $ranges,
            $table['silent'],
            $table['inapplicable'],
            $table['phenophases'],
        );
    }

    /** @return Table all but what the flora itself says */
    public function table(): array
    {
        return [
            'outcomes' => $this->outcomes,
            'edges' => $this->edges,
            'shown' => $this->shown,
            'misread' => $this->misread,
            'read' => $this->read,
            'spread' => $this->spread,
            'bitsAtFirst' => $this->bitsAtFirst,
            'never' => $this->never,
            'unlisted' => $this->unlisted,
            'background' => $this->background,
            'backgroundSpread' => $this->backgroundSpread,
            'silent' => $this->silent,
            'inapplicable' => $this->inapplicable,
            'phenophases' => $this->phenophases,
        ];
    }

    /** How often a number falls where it did, per unit, over the flora as a whole and half as far again around it. */
    public function backgroundDensity(float $from, float $to): float
    {
        $width = $to - $from;
        $spread = max(1e-6, self::BEYOND * $this->edges[\count($this->edges) - 1]);
        $sum = 0.0;
        foreach ($this->ranges as $range) {
            $sum += $range->share($from, $to, $this->isCount());
        }

        return (0.5 * $sum) / max(1, \count($this->ranges)) + (0.5 * $width) / $spread;
    }

    /**
     * Whether the taxon's description does not list the value; not so where it says nothing of the character at all.
     */
    public function isUnlisted(int $taxon, string|float $value): bool
    {
        return isset($this->inapplicable[$taxon])
            || (\is_string($value)
                ? isset($this->unlisted[$this->outcomes[$value]][$taxon])
                : false === ($this->ranges[$taxon] ?? null)?->allows($value));
    }

    public function isDescribed(int $taxon): bool
    {
        return !isset($this->silent[$taxon]) && !isset($this->inapplicable[$taxon]);
    }

    public function isCount(): bool
    {
        return CharacterKind::Count === $this->character->kind;
    }

    /**
     * The interval a reading stands for: a count stands for itself, a measure for a twentieth around it.
     *
     * @return array{float, float}
     */
    public function interval(float $number): array
    {
        return $this->isCount()
            ? [$number, $number + 1.0]
            : [$number * (1.0 - self::MEASURED_TO), max($number * (1.0 + self::MEASURED_TO), 1e-6)];
    }
}

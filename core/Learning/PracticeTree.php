<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

use Hylognosis\Flora\CharacterKind;
use Hylognosis\Flora\NumberRange;
use Hylognosis\Flora\Taxon;
use Hylognosis\Identification\CompiledCharacter;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Rehearsal\Showing;
use Hylognosis\Season\Phenology;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * One tree of a kind, drawn by lot from what its flora says of it: mostly one value in each character, now and then
 * another beside it at another place, sizes about a middle of its own. The same seed draws the same tree.
 */
final readonly class PracticeTree
{
    /** Low branch, crown, shoot from the foot. */
    public const PLACES = 3;
    /** So often a place shows what the tree shows beside its usual. */
    private const BESIDE = 0.2;
    /** So far leaves of one tree spread about its own middle, of the whole normal range of its kind. */
    private const WITHIN = 0.25;

    /**
     * @param array<string, Showing>                           $shows    by character, what can be seen that day
     * @param array<string, non-empty-list<string|float>>|null $recorded what was seen on a tree that stands there;
     *                                                                   null: it is drawn by lot
     */
    private function __construct(
        public Taxon $taxon,
        private CompiledFlora $compiled,
        private array $shows,
        private int $seed,
        private ?array $recorded = null,
    ) {
    }

    /**
     * A tree that stands there, as it was read: nothing is added to what was seen.
     *
     * @param Taxon                                       $taxon what it is held to be
     * @param array<string, non-empty-list<string|float>> $seen  by character of the flora
     */
    public static function recorded(CompiledFlora $compiled, Taxon $taxon, array $seen, int $seed): self
    {
        return new self($taxon, $compiled, [], $seed, $seen);
    }

    /**
     * @param string $taxon of the flora
     * @param int    $seed  0 or more
     */
    public static function of(
        CompiledFlora $compiled,
        string $taxon,
        Phenology $phenology,
        DayOfYear $day,
        int $seed,
    ): self {
        $number = $compiled->numbers[$taxon];
        $own = $compiled->flora->taxon($taxon);
        $shows = [];
        foreach ($compiled->characters as $id => $character) {
            // what the flora does not say cannot be drawn, and is not to be guessed
            if (isset($character->silent[$number]) || !$phenology->shows($own, $character->character, $day)) {
                continue;
            }
            $showing = Showing::of($character, $number, null, 0.0);
            if (null !== $showing) {
                $shows[(string) $id] = $showing;
            }
        }

        return new self($own, $compiled, $shows, $seed);
    }

    /** @return list<string> characters that can be looked at */
    public function characters(): array
    {
        return array_map(strval(...), array_keys($this->recorded ?? $this->shows));
    }

    /**
     * What it shows at one place.
     *
     * @param int $place 0 to PLACES − 1
     *
     * @return string|float|null a state, or a number in the character's unit; null where it cannot be seen
     */
    public function at(string $character, int $place): string|float|null
    {
        if (null !== $this->recorded) {
            $seen = $this->recorded[$character] ?? [];

            return [] === $seen ? null : $seen[(int) ($this->lot($character, $place) * \count($seen))];
        }
        $showing = $this->shows[$character] ?? null;
        if (null === $showing) {
            return null;
        }
        $compiled = $this->compiled->characters[$character];
        if ($compiled->character->isNumeric()) {
            return $this->number($compiled, $place);
        }
        $mostly = self::chosen($showing->shares, $this->lot($character, -1));
        $beside = $showing->shares;
        array_splice($beside, $mostly, 1, [0.0]);
        $other = array_sum($beside);
        if ($other > 0.0 && $this->lot($character, $place) < self::BESIDE * $other) {
            return $showing->values[self::chosen($beside, $this->lot($character, $place + 100) * $other)];
        }

        return $showing->values[$mostly];
    }

    /** @return list<string|float> all it shows, over its places; none where it cannot be seen */
    public function all(string $character): array
    {
        $all = [];
        for ($place = 0; $place < self::PLACES; ++$place) {
            $value = $this->at($character, $place);
            if (null !== $value) {
                $all[(string) $value] = $value;
            }
        }

        return array_values($all);
    }

    /** Of a size the middle of the tree lies in the normal range of its kind, and its leaves about that. */
    private function number(CompiledCharacter $character, int $place): float
    {
        $id = $character->character->id;
        $range = $character->ranges[$this->compiled->numbers[$this->taxon->id]] ?? NumberRange::of(0, 0, 0, 0);
        $middle = $range->low + ($range->high - $range->low) * $this->lot($id, -1);
        $value = $middle + ($range->high - $range->low) * self::WITHIN * (2 * $this->lot($id, $place) - 1);
        $value = max($range->least, min($range->most, $value));

        return CharacterKind::Count === $character->character->kind ? round($value) : round($value, 1);
    }

    /** 0 to 1, the same for the same tree, character and place. */
    private function lot(string $character, int $place): float
    {
        $random = new Randomizer(
            new Mt19937(crc32(\sprintf('%d %s %s %d', $this->seed, $this->taxon->id, $character, $place))),
        );

        return ($random->getInt(0, 999_999) + 0.5) / 1_000_000;
    }

    /** @param list<float> $shares */
    private static function chosen(array $shares, float $lot): int
    {
        foreach ($shares as $i => $share) {
            $lot -= $share;
            if ($lot < 0.0) {
                return $i;
            }
        }

        return max(0, \count($shares) - 1);
    }
}

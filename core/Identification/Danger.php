<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;

/**
 * A dangerous taxon against what was seen. It is excluded where something was seen for sure that it is stated never to
 * show, in characters of at least two organs, one of them more telling than bark and outline; where the flora calls a
 * character decisive for the pair, by that one alone. What its description merely does not mention excludes nothing.
 */
final readonly class Danger
{
    private const ORGANS = 2;

    /**
     * @param array<string, list<StatedNever>> $contradictions character → the lines it contradicts
     * @param array<string, Organ>             $organs         those they were seen in
     * @param array<string, true>              $decisive       characters of which one sure contradiction is enough
     */
    private function __construct(
        public Taxon $taxon,
        public Severity $severity,
        public array $contradictions,
        public array $organs,
        private array $decisive,
        bool $decided,
    ) {
        $this->excluded = $decided || self::suffice($organs);
    }

    private bool $excluded;

    /**
     * What was seen for sure on the tree, ready to be held against many dangers.
     *
     * @return array<string, array{Character, list<Reading>}> by character; none that is still in dispute
     */
    public static function seen(Examination $examination): array
    {
        $seen = [];
        foreach ($examination->findings as $id => $finding) {
            $readings = $finding->decidingReadings();
            if ([] !== $readings) {
                $seen[$id] = [$finding->character, $readings];
            }
        }

        return $seen;
    }

    /**
     * @param array<string, array{Character, list<Reading>}> $seen     {@see seen}
     * @param Severity                                       $severity of taking it for the wanted tree
     * @param list<string>                                   $decisive characters the flora marks decisive for this pair
     */
    public static function weigh(
        CompiledFlora $compiled,
        array $seen,
        Taxon $taxon,
        Severity $severity,
        array $decisive,
    ): self {
        $number = $compiled->numbers[$taxon->id];
        $contradictions = $organs = [];
        $decided = false;
        foreach ($seen as $id => [$character, $readings]) {
            foreach ($readings as $reading) {
                foreach ($compiled->forbidding($number, $character, $reading) as $line) {
                    $contradictions[$id][$line->id] = $line;
                    $organs[$character->organ->value] = $character->organ;
                    $decided = $decided || self::decides($id, $line, $decisive);
                }
            }
        }

        return new self(
            $taxon,
            $severity,
            array_map(array_values(...), $contradictions),
            $organs,
            array_fill_keys($decisive, true),
            $decided,
        );
    }

    /**
     * Whether a reading that contradicts this line excludes the pair by itself: it was read in a decisive character, or
     * it contradicts what is stated of one (a spiny husk contradicts that the kind bears nuts).
     *
     * @param string       $read     the character it was read in
     * @param list<string> $decisive characters the flora marks decisive for the pair
     */
    public static function decides(string $read, StatedNever $line, array $decisive): bool
    {
        return \in_array($read, $decisive, true) || \in_array($line->character, $decisive, true);
    }

    public function isExcluded(): bool
    {
        return $this->excluded;
    }

    /**
     * How much nearer a contradiction in this character would bring the exclusion: 0, a half, or 1 (it would be done).
     */
    public function stepOf(Character $character): float
    {
        return isset($this->decisive[$character->id]) && !$this->isExcluded() ? 1.0 : $this->stepBy($character->organ);
    }

    /** How much nearer a contradiction in this organ would bring the exclusion: 0, a half, or 1 (it would be done). */
    public function stepBy(Organ $organ): float
    {
        if ($this->isExcluded()) {
            return 0.0;
        }
        $with = $this->organs + [$organ->value => $organ];

        return match (true) {
            self::suffice($with) => 1.0,
            isset($this->organs[$organ->value]) => 0.0,
            default => 0.5,
        };
    }

    /**
     * @return array<string, float> {@see stepOf}: for every organ by its value, and for each decisive character by its
     *     id
     */
    public function steps(): array
    {
        $steps = array_map(fn (): float => $this->isExcluded() ? 0.0 : 1.0, $this->decisive);
        foreach (Organ::cases() as $organ) {
            $steps[$organ->value] = $this->stepBy($organ);
        }

        return $steps;
    }

    /**
     * The rule of two organs: contradictions in these are enough, since one of them is more telling than bark, outline
     * and site.
     *
     * @param array<Organ> $organs each once
     */
    public static function suffice(array $organs): bool
    {
        return \count($organs) >= self::ORGANS
            && [] !== array_filter($organs, static fn (Organ $organ): bool => $organ->decidesAlone());
    }
}

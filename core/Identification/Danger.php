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
 * A dangerous taxon against what was seen. It is excluded where something was seen for sure that it is stated never to show,
 * in characters of at least two organs, one of them more telling than bark and outline; where the flora calls a character
 * decisive for the pair, by that one alone. What its description merely does not mention excludes nothing.
 */
final readonly class Danger
{
    private const ORGANS = 2;

    /**
     * @param array<string, list<StatedNever>> $contradictions character → the lines it contradicts
     * @param array<string, Organ>             $organs         those they were seen in
     */
    private function __construct(
        public Taxon $taxon,
        public Severity $severity,
        public array $contradictions,
        public array $organs,
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
    public static function weigh(CompiledFlora $compiled, array $seen, Taxon $taxon, Severity $severity, array $decisive): self
    {
        $number = $compiled->numbers[$taxon->id];
        $contradictions = $organs = [];
        $decided = false;
        foreach ($seen as $id => [$character, $readings]) {
            foreach ($readings as $reading) {
                foreach ($compiled->forbidding($number, $character, $reading) as $line) {
                    $contradictions[$id][$line->id] = $line;
                    $organs[$character->organ->value] = $character->organ;
                    $decided = $decided || \in_array($line->character, $decisive, true);
                }
            }
        }

        return new self($taxon, $severity, array_map(array_values(...), $contradictions), $organs, $decided);
    }

    public function isExcluded(): bool
    {
        return $this->excluded;
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

    /** @return array<string, float> {@see stepBy} for every organ, by its value */
    public function steps(): array
    {
        $steps = [];
        foreach (Organ::cases() as $organ) {
            $steps[$organ->value] = $this->stepBy($organ);
        }

        return $steps;
    }

    /**
     * The rule of two organs: contradictions in these are enough, since one of them is more telling than bark, outline and site.
     *
     * @param array<Organ> $organs each once
     */
    public static function suffice(array $organs): bool
    {
        return \count($organs) >= self::ORGANS && [] !== array_filter($organs, static fn (Organ $organ): bool => $organ->decidesAlone());
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Reading;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Organ;
use Hylognosis\Flora\Severity;
use Hylognosis\Flora\Taxon;

/**
 * A dangerous taxon against what was seen. It is excluded by sure contradictions in characters of at least two
 * organs, one of them more telling than bark and outline; where the flora calls a character decisive for the
 * pair, by that one alone.
 */
final readonly class Danger
{
    /** @param list<string> $contradictions characters in which something was seen for sure that this taxon never shows */
    private function __construct(
        public Taxon $taxon,
        public Severity $severity,
        public array $contradictions,
        /** @var array<string, Organ> */
        public array $organs,
        bool $decided,
    ) {
        $this->excluded = $decided || (\count($organs) >= 2 && self::oneDecides($organs));
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
                if ($compiled->rulesOut($number, $character, $reading)) {
                    $contradictions[] = $id;
                    $organs[$character->organ->value] = $character->organ;
                    $decided = $decided || \in_array($id, $decisive, true);
                    break;
                }
            }
        }

        return new self($taxon, $severity, $contradictions, $organs, $decided);
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
            \count($with) >= 2 && self::oneDecides($with) => 1.0,
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

    /** @param array<string, Organ> $organs */
    private static function oneDecides(array $organs): bool
    {
        foreach ($organs as $organ) {
            if ($organ->decidesAlone()) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Identification;

use Hylognosis\Examination\Examination;
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
        private bool $decided,
    ) {
    }

    /**
     * @param Severity     $severity of taking it for the wanted tree
     * @param list<string> $decisive characters the flora marks decisive for this pair
     */
    public static function weigh(CompiledFlora $compiled, Examination $examination, Taxon $taxon, Severity $severity, array $decisive): self
    {
        $number = $compiled->numbers[$taxon->id];
        $contradictions = $organs = [];
        $decided = false;
        foreach ($examination->findings as $id => $finding) {
            foreach ($finding->decidingReadings() as $reading) {
                if ($compiled->rulesOut($number, $finding->character, $reading)) {
                    $contradictions[] = $id;
                    $organs[$finding->character->organ->value] = $finding->character->organ;
                    $decided = $decided || \in_array($id, $decisive, true);
                    break;
                }
            }
        }

        return new self($taxon, $severity, $contradictions, $organs, $decided);
    }

    public function isExcluded(): bool
    {
        return $this->decided || (\count($this->organs) >= 2 && self::oneDecides($this->organs));
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
        return [] !== array_filter($organs, static fn (Organ $organ): bool => $organ->decidesAlone());
    }
}

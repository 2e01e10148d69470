<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Organ;

/** One scoring of one specimen by one examiner on one date. */
final readonly class Examination
{
    /**
     * @param array<string, Finding> $findings by character
     * @param list<string>           $couldNotLook characters that were out of reach or sight; they count for nothing
     */
    private function __construct(
        public \DateTimeImmutable $date,
        public LifeStage $stage,
        public ExaminerRole $examiner,
        public array $findings,
        public array $couldNotLook,
    ) {
    }

    /**
     * @param list<Observation> $observations in any order; several of one character are repeats
     * @param list<string>      $couldNotLook character ids
     */
    public static function of(\DateTimeImmutable $date, LifeStage $stage, ExaminerRole $examiner, array $observations, array $couldNotLook = []): self
    {
        $byCharacter = [];
        foreach ($observations as $observation) {
            $byCharacter[$observation->character->id][] = $observation;
        }
        ksort($byCharacter);

        return new self($date, $stage, $examiner, array_map(Finding::of(...), $byCharacter), $couldNotLook);
    }

    public function finding(string $character): ?Finding
    {
        return $this->findings[$character] ?? null;
    }

    /** @return array<string, Organ> the organs seen on the tree itself, by their value */
    public function organsOnTheTree(): array
    {
        $organs = [];
        foreach ($this->findings as $finding) {
            if ($finding->character->organ->isOnTheTree() && $finding->isOnTheTree()) {
                $organs[$finding->character->organ->value] = $finding->character->organ;
            }
        }

        return $organs;
    }
}

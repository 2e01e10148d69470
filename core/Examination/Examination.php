<?php

declare(strict_types=1);

namespace Hylognosis\Examination;

use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\Organ;

/** One scoring of one specimen by one examiner on one date. */
final readonly class Examination
{
    /** Scores of one character in one examination, taken back ones among them. */
    public const MOST_SCORES = 20;

    /**
     * @param array<string, Finding> $findings by character, of those with a score that counts
     * @param array<string, Finding> $takenBack by character, of those all of whose scores were taken back
     * @param list<string>           $couldNotLook characters that were out of reach or sight; they count for nothing
     */
    private function __construct(
        public \DateTimeImmutable $date,
        public LifeStage $stage,
        public ExaminerRole $examiner,
        public array $findings,
        public array $takenBack,
        public array $couldNotLook,
    ) {
    }

    /**
     * @param list<Observation> $observations in any order; several of one character are repeats
     * @param list<string>      $couldNotLook character ids
     *
     * @throws UnusableScore if one character is scored more than twenty times
     */
    public static function of(
        \DateTimeImmutable $date,
        LifeStage $stage,
        ExaminerRole $examiner,
        array $observations,
        array $couldNotLook = [],
    ): self {
        $byCharacter = [];
        foreach ($observations as $observation) {
            $byCharacter[$observation->character->id][] = $observation;
        }
        foreach ($byCharacter as $id => $scores) {
            if (\count($scores) > self::MOST_SCORES) {
                throw UnusableScore::in(
                    'character',
                    \sprintf(
                        '"%s" is scored %d times; more than %d scores of one character say nothing more.',
                        $id,
                        \count($scores),
                        self::MOST_SCORES,
                    ),
                );
            }
        }
        ksort($byCharacter);

        $findings = $takenBack = [];
        foreach ($byCharacter as $id => $scores) {
            $finding = Finding::of($scores);
            if ([] === $finding->standing) {
                $takenBack[$id] = $finding;
            } else {
                $findings[$id] = $finding;
            }
        }

        return new self($date, $stage, $examiner, $findings, $takenBack, $couldNotLook);
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

    /**
     * Whether it could not be looked at, or what it hangs on could not: where the kind of leaf cannot be seen, because
     * the tree is bare, neither can its lobes.
     */
    public function couldNotSee(Flora $flora, Character $character): bool
    {
        for ($seen = $character;; $seen = $flora->character($seen->applies->character)) {
            if (\in_array($seen->id, $this->couldNotLook, true)) {
                return true;
            }
            if (null === $seen->applies || null !== $this->finding($seen->id)) {
                return false;
            }
        }
    }
}

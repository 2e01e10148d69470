<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/** One look of a learner that is held against what the tree really was. */
final readonly class TrustLook
{
    /** @param string $at the tree that was looked at: a tree known by heart is no second trial */
    private function __construct(
        public string $id,
        public string $at,
        public TrustOutcome $outcome,
        public \DateTimeImmutable $on,
    ) {
    }

    /**
     * At a tree that stands there, and whose kind others have settled.
     *
     * @param string       $id     of the examination
     * @param string       $tree   its id
     * @param string       $truth  what it is
     * @param string       $named  what the learner's scores name; empty: they leave it open
     * @param list<string> $kinds  from which the part may be taken
     * @param list<string> $likes  its look-alikes and all that is dangerous
     */
    public static function atATree(
        string $id,
        string $tree,
        string $truth,
        string $named,
        array $kinds,
        array $likes,
        \DateTimeImmutable $on,
    ): self {
        $isWanted = \in_array($truth, $kinds, true);

        return new self(
            $id,
            $tree,
            match (true) {
                !$isWanted && \in_array($named, $kinds, true) => TrustOutcome::ClearedWrongly,
                $isWanted && \in_array($named, $kinds, true) => TrustOutcome::Agreed,
                !$isWanted && $named === $truth && \in_array($truth, $likes, true) => TrustOutcome::LookAlikeKnown,
                default => TrustOutcome::Nothing,
            },
            $on,
        );
    }

    /** At a practice tree that was drawn for the part. */
    public static function inPractice(
        string $id,
        bool $isWanted,
        LearnersDecision $decision,
        \DateTimeImmutable $on,
    ): self {
        return new self(
            $id,
            $id,
            match (true) {
                $isWanted => TrustOutcome::Nothing,
                LearnersDecision::Take === $decision => TrustOutcome::ClearedWrongly,
                default => TrustOutcome::TrapSeen,
            },
            $on,
        );
    }
}

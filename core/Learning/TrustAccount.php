<?php

declare(strict_types=1);

namespace Hylognosis\Learning;

/** How far somebody has come with a part: what counts of his looks, and whether that is enough. */
final readonly class TrustAccount
{
    /**
     * @param array<string, int> $counts by outcome
     * @param list<TrustLook>    $looks  that count, the last first
     */
    private function __construct(public TrustTerms $terms, public array $counts, public array $looks)
    {
    }

    /**
     * @param list<TrustLook>    $looks in any order; those from before the terms reach do not count
     * @param \DateTimeImmutable $today last day that counts
     */
    public static function of(TrustTerms $terms, array $looks, \DateTimeImmutable $today): self
    {
        $since = $terms->since($today);
        $counted = array_values(
            array_filter(
                $looks,
                static fn (TrustLook $look): bool => TrustOutcome::Nothing !== $look->outcome && $look->on >= $since,
            ),
        );
        usort($counted, static fn (TrustLook $a, TrustLook $b): int => $b->on <=> $a->on);
        $seen = [];
        $counted = array_values(
            array_filter($counted, static function (TrustLook $look) use (&$seen): bool {
                $isNew = !isset($seen[$look->at]);
                $seen[$look->at] = true;

                // a tree counts once, whatever went wrong at it always
                return $isNew || TrustOutcome::ClearedWrongly === $look->outcome;
            }),
        );

        return new self(
            $terms,
            array_count_values(array_map(static fn (TrustLook $look): string => $look->outcome->value, $counted)),
            $counted,
        );
    }

    public function count(TrustOutcome $outcome): int
    {
        return $this->counts[$outcome->value] ?? 0;
    }

    /** Enough was named right, and nothing at all was taken for it that was not it. */
    public function isEarned(): bool
    {
        return 0 === $this->count(TrustOutcome::ClearedWrongly)
            && $this->count(TrustOutcome::Agreed) >= $this->terms->looks
            && $this->count(TrustOutcome::LookAlikeKnown) >= $this->terms->lookAlikes
            && $this->count(TrustOutcome::TrapSeen) >= $this->terms->traps;
    }
}

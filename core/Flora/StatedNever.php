<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/**
 * One line of what a taxon never shows: at no age, in no season, at no height on the tree, on neither sex, in no garden
 * form. Only such a line excludes a danger or contradicts a hope; what a description merely does not mention does
 * neither.
 */
final readonly class StatedNever
{
    /**
     * @param string                $id      within the taxon
     * @param list<string>          $states  of the character, none of which it ever shows; none for a count
     * @param NumberRange|null      $outside for a count: it never lies below the least or above the most of this range
     * @param string                $reason  one sentence a botanist can tick or strike out
     * @param list<SourceReference> $sources
     * @param list<Review>          $reviews in the order they were made; none yet is a truthful answer
     */
    public function __construct(
        public string $id,
        public string $character,
        public array $states,
        public ?NumberRange $outside,
        public string $reason,
        public Sureness $sureness,
        public array $sources,
        public array $reviews = [],
    ) {
    }

    /** @param string|float $value a state id, or a count */
    public function forbids(string|float $value): bool
    {
        return \is_string($value)
            ? \in_array($value, $this->states, true)
            : null !== $this->outside && !$this->outside->allows($value);
    }

    /** Whether somebody's last word on it is a doubt: then it excludes nothing. */
    public function isDoubted(): bool
    {
        return \in_array(ReviewVerdict::Doubted, $this->lastWords(), true);
    }

    /** How many people have read it and agreed. */
    public function agreements(): int
    {
        return \count(
            array_filter(
                $this->lastWords(),
                static fn (ReviewVerdict $verdict): bool => ReviewVerdict::Agreed === $verdict,
            ),
        );
    }

    /** Tells one wording of the statement from another: a review speaks of what it read and of nothing else. */
    public function fingerprint(): string
    {
        return self::fingerprintOf($this->character, $this->states, $this->outside);
    }

    /**
     * {@see fingerprint}, of a statement that has not been read yet.
     *
     * @param list<string> $states
     */
    public static function fingerprintOf(string $character, array $states, ?NumberRange $outside): string
    {
        sort($states);

        return substr(hash('sha256', implode('|', [$character, implode(',', $states), (string) $outside])), 0, 12);
    }

    /** @return array<string, ReviewVerdict> by person */
    private function lastWords(): array
    {
        $last = [];
        foreach ($this->reviews as $review) {
            $last[$review->who] = $review->verdict;
        }

        return $last;
    }
}

<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/**
 * What a flora says of a taxon, character by character. Silence means unknown, never "absent": a character it does not
 * name says nothing, and a state it does not name is merely not known to occur ({@see StatedNever} for what does not
 * occur).
 */
final readonly class Description
{
    /**
     * @param array<string, array<string, float>> $frequencies character id → state id → share, summing to 1
     * @param array<string, NumberRange>          $ranges      character id → range
     */
    public function __construct(private array $frequencies, private array $ranges)
    {
    }

    /** @return array<string, float>|null state id → share (0 to 1, summing to 1); null where the flora is silent */
    public function frequencies(string $character): ?array
    {
        return $this->frequencies[$character] ?? null;
    }

    public function range(string $character): ?NumberRange
    {
        return $this->ranges[$character] ?? null;
    }

    public function describes(string $character): bool
    {
        return isset($this->frequencies[$character]) || isset($this->ranges[$character]);
    }

    /** @return list<string> */
    public function characters(): array
    {
        return [...array_keys($this->frequencies), ...array_keys($this->ranges)];
    }

    /** The same with what another description says laid over it. */
    public function overlaidWith(self $other): self
    {
        return new self($other->frequencies + $this->frequencies, $other->ranges + $this->ranges);
    }
}

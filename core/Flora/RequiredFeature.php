<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

/** A character that must be scored sure, with an accepted value, before a part may be taken. */
final readonly class RequiredFeature
{
    /**
     * @param list<string>     $states   accepted states; none for a number
     * @param NumberRange|null $range    accepted numbers, in the character's unit
     * @param int              $samples  on how many twigs, leaves, fruits at least
     */
    public function __construct(
        public string $character,
        public array $states,
        public ?NumberRange $range,
        public int $samples,
    ) {
    }

    /** @param string|float $value a state id, or a number in the character's unit */
    public function accepts(string|float $value): bool
    {
        return \is_string($value) ? \in_array($value, $this->states, true) : true === $this->range?->allows($value);
    }
}

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
     * @param list<string>     $beside   states that may be seen on the same tree beside an accepted one
     */
    public function __construct(
        public string $character,
        public array $states,
        public ?NumberRange $range,
        public int $samples,
        public array $beside = [],
    ) {
    }

    /**
     * Whether an accepted value was seen, and nothing that may not stand beside it.
     *
     * @param list<string|float> $values state ids, or numbers in the character's unit
     */
    public function isMetBy(array $values): bool
    {
        $accepted = false;
        foreach ($values as $value) {
            if ($this->accepts($value)) {
                $accepted = true;
            } elseif (!\in_array($value, $this->beside, true)) {
                return false;
            }
        }

        return $accepted;
    }

    /** @param string|float $value a state id, or a number in the character's unit */
    public function accepts(string|float $value): bool
    {
        return \is_string($value) ? \in_array($value, $this->states, true) : true === $this->range?->allows($value);
    }
}

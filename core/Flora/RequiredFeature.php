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
     * Whether an accepted value was seen, and nothing that may not stand beside it. Where one of several was seen and
     * nobody could say which, each of them has to be accepted.
     *
     * @param list<non-empty-list<string|float>> $readings each a value, or several of which one was seen
     */
    public function isMetBy(array $readings): bool
    {
        $accepted = false;
        foreach ($readings as $oneOf) {
            if ($this->acceptsEach($oneOf)) {
                $accepted = true;
            } elseif (
                [] !==
                array_filter(
                    $oneOf,
                    fn (string|float $value): bool => !$this->accepts($value) && !\in_array($value, $this->beside, true),
                )
            ) {
                return false;
            }
        }

        return $accepted;
    }

    /** @param non-empty-list<string|float> $oneOf */
    public function acceptsEach(array $oneOf): bool
    {
        return [] === array_filter($oneOf, fn (string|float $value): bool => !$this->accepts($value));
    }

    /** @param string|float $value a state id, or a number in the character's unit */
    public function accepts(string|float $value): bool
    {
        return \is_string($value) ? \in_array($value, $this->states, true) : true === $this->range?->allows($value);
    }
}

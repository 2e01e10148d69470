<?php

declare(strict_types=1);

namespace Hylognosis\Recipe;

use Hylognosis\Measure\Temperature;
use Hylognosis\Measure\TimeSpan;

/** One step: what is done, how long, how hot, with what, and how one knows that it is done. */
final readonly class Step
{
    /**
     * @param TimeSpan|null                        $takes  somebody's hands
     * @param TimeSpan|null                        $waits  it goes on by itself
     * @param TimeSpan|null                        $again  so often somebody looks, turns, or changes the water
     * @param array{Temperature, Temperature}|null $heat   from and to
     * @param list<Ingredient>                     $with
     * @param array{float, float}|null             $left   of all that went in so much comes out: shares, from and to
     * @param string                               $vessel in what; empty: in nothing particular
     * @param string                               $until  how one knows that it is done
     * @param string                               $wrong  what goes wrong; may be empty
     * @param string                               $never  what must never be done; may be empty
     */
    public function __construct(
        public string $name,
        public string $do,
        public ?TimeSpan $takes,
        public ?TimeSpan $waits,
        public ?TimeSpan $again,
        public ?array $heat,
        public array $with,
        public ?array $left,
        public string $vessel,
        public string $until,
        public string $wrong,
        public string $never,
    ) {
    }

    /** A step that no recipe has. */
    public static function ofOnesOwn(string $name, string $do, ?TimeSpan $waits, string $until): self
    {
        return new self($name, $do, null, $waits, null, null, [], null, '', $until, '', '');
    }

    /**
     * What makes the thing fit to be eaten, or keeps it from spoiling, is never left out: heat, water that is poured
     * away, waiting, and whatever has something that must never be done. What is left are handholds.
     */
    public function mayBeLeftOut(): bool
    {
        return null === $this->heat && null === $this->waits && '' === $this->never && [] === $this->with;
    }
}

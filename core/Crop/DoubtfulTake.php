<?php

declare(strict_types=1);

namespace Hylognosis\Crop;

use Hylognosis\Measure\Amount;

/** A take that was mistyped, or that empties a tree: it can be true, and then it is said twice. */
final readonly class DoubtfulTake
{
    /** Per cent; less left on the tree is asked about. A third is left by common practice. */
    public const LEAST_LEFT = 33;

    /** In one good year of ten a tree gives one person more than the table's most; hardly ever so many times more. */
    private const TIMES = 2.0;

    /**
     * @param list<TakeDoubt>   $doubts  nothing: there is none
     * @param int               $left    per cent left on the tree, 0 to 100
     * @param TypicalCrop|null  $typical null where nobody has said what a tree bears; then no amount is doubted
     */
    private function __construct(public array $doubts, public int $left, public ?TypicalCrop $typical)
    {
    }

    /** @param int $left per cent left on the tree, 0 to 100 */
    public static function of(Amount $taken, int $left, ?TypicalCrop $typical): self
    {
        $doubts = [];
        if (
            null !== $typical
            && $typical->most->unit->measures() === $taken->unit->measures()
            && $taken->in($typical->most->unit)->value > self::TIMES * $typical->most->value
        ) {
            $doubts[] = TakeDoubt::MoreThanItBears;
        }
        if ($left < self::LEAST_LEFT) {
            $doubts[] = TakeDoubt::LittleLeft;
        }

        return new self($doubts, $left, $typical);
    }
}

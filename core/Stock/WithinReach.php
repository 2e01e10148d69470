<?php

declare(strict_types=1);

namespace Hylognosis\Stock;

use Hylognosis\Measure\Mass;

/** What lies within reach of animals, held against what harmed others. */
final readonly class WithinReach
{
    /** A 10-litre bucket of loose leaves. Common practice: a hundred grams to the litre at most. */
    private const BUCKET_GRAMS = 700.0;

    /**
     * @param HarmSeen            $harm    what it is reckoned from
     * @param Mass                $from    so much harmed one of them where it was seen
     * @param Mass                $to      up to so much
     * @param float               $buckets of ten litres, loosely filled, in the least that harmed
     * @param array{int, int}|null $animals of the herd that all of it could harm, by the most and by the least of the
     *                                     range; null where nobody knows how much lies there
     */
    private function __construct(
        public HarmSeen $harm,
        public Mass $from,
        public Mass $to,
        public float $buckets,
        public ?array $animals,
    ) {
    }

    /** @param CarriedLeaf|null $leaf what came down; its higher estimate is held against the herd */
    public static function of(HarmSeen $harm, Herd $herd, ?CarriedLeaf $leaf): self
    {
        [$from, $to] = $harm->of($herd->each);

        return new self(
            $harm,
            $from,
            $to,
            $from->grams / self::BUCKET_GRAMS,
            null === $leaf
                ? null
                : array_map(
                    static fn (Mass $one): int => min($herd->number, (int) floor($leaf->most->grams / $one->grams)),
                    [$to, $from],
                ),
        );
    }
}

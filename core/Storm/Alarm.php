<?php

declare(strict_types=1);

namespace Hylognosis\Storm;

use Hylognosis\Stock\CarriedLeaf;
use Hylognosis\Stock\HarmSeen;
use Hylognosis\Stock\Herd;
use Hylognosis\Stock\Peril;
use Hylognosis\Stock\WithinReach;

/**
 * Something of a tree lies where animals get at it, and it may harm them. It is over only when somebody says that it
 * was cleared away or that the animals are elsewhere: leaves that have dried are no end of it.
 */
final readonly class Alarm
{
    /** @param list<WithinReach> $reaches what harmed others, held against that herd; none: nobody has it on record */
    private function __construct(
        public Peril $peril,
        public Wilting $wilting,
        public float $hours,
        public ?CarriedLeaf $leaf,
        public array $reaches,
    ) {
    }

    /**
     * @param CarriedLeaf|null $leaf  of what came down; null where its thickness is not known
     * @param list<HarmSeen>   $seen  of that kind
     * @param float            $hours since it came down
     *
     * @return self|null null where nothing lies there, or where animals of that kind eat it without harm on record
     */
    public static function of(
        StormFinding $finding,
        Peril $peril,
        Herd $herd,
        ?CarriedLeaf $leaf,
        array $seen,
        float $hours,
    ): ?self {
        if (!$finding->isDown() || !$peril->calls()) {
            return null;
        }
        $reaches = [];
        foreach ($seen as $harm) {
            if ($harm->animal === $herd->animal) {
                // of a group its members may say the same
                $told = serialize([$harm->part, $harm->state, $harm->least, $harm->most]);
                $reaches[$told] ??= WithinReach::of($harm, $herd, $harm->isOfLeaves() ? $leaf : null);
            }
        }

        return new self($peril, Wilting::after($hours), max(0.0, $hours), $leaf, array_values($reaches));
    }
}

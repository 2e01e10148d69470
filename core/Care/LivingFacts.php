<?php

declare(strict_types=1);

namespace Hylognosis\Care;

/** What it is like to live with a kind near house, path and pipe. Each may be empty: then it is not known here. */
final readonly class LivingFacts
{
    /**
     * @param string $roots     near paving, walls and pipes
     * @param string $fruit     what stains or litters
     * @param string $litter    what else falls
     * @param string $pollen    `low`, `moderate`, `high`, as those who sneeze know it
     * @param string $limbs     how it sheds them
     * @param string $pruning   when it is cut with least harm
     * @param bool   $coppices  comes again from the stump
     * @param string $fibre     bark, bast or withies that bind
     * @param string $source    where it can be looked up, and that it is from memory where it is
     */
    public function __construct(
        public string $roots,
        public string $fruit,
        public string $litter,
        public string $pollen,
        public string $limbs,
        public string $pruning,
        public bool $coppices,
        public string $fibre,
        public string $source,
    ) {
    }
}

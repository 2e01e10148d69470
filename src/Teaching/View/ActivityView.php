<?php

declare(strict_types=1);

namespace App\Teaching\View;

/** Something a group does at trees. */
final readonly class ActivityView
{
    /**
     * @param string $id its id
     * @param string $name its name
     * @param string $aim what is learnt by it
     * @param int $minutes about how long it takes
     * @param string $material what is needed
     * @param list<string> $how step by step
     * @param string $caution what to heed
     * @param bool $hasResults it is noted for each whether it was found
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $aim,
        public int $minutes,
        public string $material,
        public array $how,
        public string $caution,
        public bool $hasResults,
    ) {
    }
}

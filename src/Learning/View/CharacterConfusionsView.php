<?php

declare(strict_types=1);

namespace App\Learning\View;

/** What somebody reads in one character. */
final readonly class CharacterConfusionsView
{
    /**
     * @param string              $character id
     * @param string              $label     its name
     * @param int                 $read      own readings
     * @param int                 $wrong     of these
     * @param float               $misread   how often it is misread, own readings and the flora together, 0 to 1
     * @param float               $expected  how often the flora expects of anybody, 0 to 1
     * @param list<ConfusionView> $cells     states looked at: each with itself, then with what was read instead
     */
    public function __construct(
        public string $character,
        public string $label,
        public int $read,
        public int $wrong,
        public float $misread,
        public float $expected,
        public array $cells,
    ) {
    }
}

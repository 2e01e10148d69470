<?php

declare(strict_types=1);

namespace App\Species\View;

/** How far a "cleared" for a part can be trusted, by rehearsal with a single careful examiner. */
final readonly class RehearsedView
{
    /**
     * @param string      $madeOn      day, YYYY-MM-DD
     * @param int         $bestMonth   1 to 12, in which most right trees were cleared
     * @param float       $rightShare  of right trees cleared in that month within twelve looks, 0 to 1
     * @param float|null  $looks       median, of those cleared
     * @param list<int>   $months      in which right trees were cleared at all
     * @param string|null $worstDanger common name of the dangerous taxon that passes most easily; null where the flora
     *                                 holds none
     * @param float|null  $worstBound  how often it passes at most, 0 to 1, given independent misreadings; null where
     *                                 the flora holds none
     * @param float|null  $tolerates   how often it may be that somebody wants it to be the right tree, if no more than
     *                                 one in 10,000 are to pass
     * @param float|null  $twoTolerate the same for two people who were told the same hope, and the aim
     * @param bool        $meetsAims   no dangerous taxon passes more often than one in 100,000
     */
    public function __construct(
        public string $madeOn,
        public int $bestMonth,
        public float $rightShare,
        public ?float $looks,
        public array $months,
        public ?string $worstDanger,
        public ?float $worstBound,
        public ?float $tolerates,
        public ?float $twoTolerate,
        public bool $meetsAims,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Api\View;

/** How far a "cleared" for a part can be trusted, by rehearsal with a single careful examiner. */
final readonly class RehearsedView
{
    /**
     * @param int         $bestMonth   1 to 12, in which most right trees were cleared
     * @param float       $rightShare  of right trees cleared in that month within twelve looks, 0 to 1
     * @param float|null  $looks       median, of those cleared
     * @param list<int>   $months      in which right trees were cleared at all
     * @param string|null $worstDanger common name of the dangerous taxon that passes most easily; null where the flora holds none
     * @param float       $worstBound  how often it passes at most, 0 to 1
     * @param bool        $meetsAims   no dangerous taxon passes more often than one in 100,000
     */
    public function __construct(
        public string $madeOn, public int $bestMonth, public float $rightShare, public ?float $looks, public array $months,
        public ?string $worstDanger, public float $worstBound, public bool $meetsAims,
    ) {
    }
}

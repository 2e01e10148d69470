<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\DangerReport;
use Hylognosis\Identification\Candidate;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\Suggestion;
use Hylognosis\Wording\English;

/** What the screen shows of one full step of the engine. Empty or null is what the viewer must not know yet. */
final readonly class AssessmentView
{
    /** Names shown; what comes after them is a matter of tenths of a per mille. */
    private const MOST_NAMES = 8;

    /**
     * @param list<CandidateView>  $ranking  likeliest first, the first few
     * @param float|null           $unlisted the probability that it is none of the flora, 0 to 1
     * @param bool|null            $goodFit  whether the best candidate explains well what was seen
     * @param list<DangerView>     $dangers  not yet excluded, worst and likeliest first
     * @param list<ExcludedView>   $excluded dangerous taxa that are excluded
     * @param list<SuggestionView> $next     the most worthwhile first
     */
    public function __construct(
        public array $ranking,
        public ?float $unlisted,
        public ?bool $goodFit,
        public ?Conclusion $conclusion,
        public array $dangers,
        public array $excluded,
        public ?GateView $clearance,
        public array $next,
    ) {
    }

    public static function of(Assessment $assessment, English $words): self
    {
        $identification = $assessment->identification;
        $flora = $identification->compiled->flora;
        $isExcluded = static fn (DangerReport $r): bool => $r->danger->isExcluded();

        return new self(
            array_map(
                static fn (Candidate $c): CandidateView => CandidateView::of($c, $flora),
                \array_slice($identification->ranking(), 0, self::MOST_NAMES),
            ),
            $identification->unlisted,
            $identification->hasGoodFit(),
            $identification->conclusion(),
            array_values(
                array_map(
                    static fn (DangerReport $r): DangerView => DangerView::of($r, $flora),
                    array_filter($assessment->dangers, static fn (DangerReport $r): bool => !$isExcluded($r)),
                ),
            ),
            array_values(array_map(ExcludedView::of(...), array_filter($assessment->dangers, $isExcluded))),
            null === $assessment->clearance ? null : GateView::of($assessment->clearance, $words),
            array_map(static fn (Suggestion $s): SuggestionView => SuggestionView::of($s, $words), $assessment->next),
        );
    }
}

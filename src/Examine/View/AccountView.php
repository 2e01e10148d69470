<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\DangerReport;
use Hylognosis\Examination\Finding;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\Contribution;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Suggestion;
use Hylognosis\Wording\English;

/**
 * One full step of the engine with every line it leans on: what the shell prints, and what the screen asks for piece by
 * piece.
 */
final readonly class AccountView
{
    /**
     * @param list<CandidateAccountView> $ranking  likeliest first
     * @param float                      $unlisted the probability that it is none of the flora, 0 to 1
     * @param float                      $fit      share of the best candidate’s own specimens that would look as odd, 0
     *                                         to 1
     * @param bool                       $goodFit  whether that is enough
     * @param list<DangerAccountView>    $dangers  open ones first, worst and likeliest first
     * @param list<SuggestionView>       $next     the most worthwhile first
     */
    public function __construct(
        public array $ranking,
        public float $unlisted,
        public float $fit,
        public bool $goodFit,
        public Conclusion $conclusion,
        public array $dangers,
        public ?ClearanceView $clearance,
        public array $next,
    ) {
    }

    /** @param int|null $explained how many candidates come with their evidence; null for all */
    public static function of(Assessment $assessment, English $words, ?int $explained = null): self
    {
        $identification = $assessment->identification;
        $flora = $identification->compiled->flora;
        $ranking = $identification->ranking();
        $candidates = [];
        foreach ($ranking as $i => $candidate) {
            $taxon = $flora->taxon($candidate->taxon);
            $rival = $ranking[0 === $i ? 1 : 0]->taxon;
            $evidence =
                null !== $explained && $i >= $explained
                    ? []
                    : self::evidence($identification, $words, $candidate->taxon, $rival);
            $candidates[] = new CandidateAccountView(
                $taxon->id,
                $taxon->name,
                $taxon->commonName(),
                $taxon->severity(),
                $candidate->posterior,
                $flora->taxon($rival)->commonName(),
                $evidence,
            );
        }

        return new self(
            $candidates,
            $identification->unlisted,
            $identification->fit,
            $identification->hasGoodFit(),
            $identification->conclusion(),
            array_map(
                static fn (DangerReport $r): DangerAccountView => DangerAccountView::of($r, $flora),
                $assessment->dangers,
            ),
            null === $assessment->clearance ? null : ClearanceView::of($assessment->clearance, $words),
            array_map(static fn (Suggestion $s): SuggestionView => SuggestionView::of($s, $words), $assessment->next),
        );
    }

    /** @return list<EvidenceView> strongest first */
    public static function evidence(Identification $identification, English $words, string $for, string $against): array
    {
        return array_map(
            static fn (Contribution $c): EvidenceView => new EvidenceView(
                $c->finding->character->id,
                $c->finding->character->label,
                self::seen($c->finding, $words),
                $c->decibans,
            ),
            $identification->evidence($for, $against),
        );
    }

    private static function seen(Finding $finding, English $words): string
    {
        if ($finding->isNotApplicable()) {
            return 'makes no sense here';
        }
        $summary = $finding->summary();

        return null !== $summary && $summary->count > 1
            ? $words->summary($finding->character->id, $summary)
            : $words->valuesOf($finding->character->id, ...$finding->values());
    }
}

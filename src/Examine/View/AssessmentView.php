<?php

declare(strict_types=1);

namespace App\Examine\View;

use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\DangerReport;
use Hylognosis\Clearance\Clearance;
use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Examination\Finding;
use Hylognosis\Flora\Flora;
use Hylognosis\Identification\Conclusion;
use Hylognosis\Identification\Contribution;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Suggestion;
use Hylognosis\Wording\English;

/** One full step of the engine. Empty or null is what the viewer must not know yet. */
final readonly class AssessmentView
{
    /**
     * @param list<CandidateView>  $ranking
     * @param list<DangerView>     $dangers
     * @param list<SuggestionView> $next
     */
    public function __construct(
        public array $ranking, public ?float $unlisted, public ?float $fit, public ?bool $goodFit, public ?Conclusion $conclusion,
        public array $dangers, public ?ClearanceView $clearance, public array $next,
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
            $evidence = null !== $explained && $i >= $explained ? [] : self::evidence($identification, $words, $candidate->taxon, $rival);
            $candidates[] = new CandidateView($taxon->id, $taxon->name, $taxon->commonName(), $taxon->severity(), $candidate->posterior, $flora->taxon($rival)->commonName(), $evidence);
        }

        return new self(
            $candidates, $identification->unlisted, $identification->fit, $identification->hasGoodFit(), $identification->conclusion(),
            array_map(static fn (DangerReport $r): DangerView => self::danger($r, $flora), $assessment->dangers),
            null === $assessment->clearance ? null : self::clearance($assessment->clearance, $words),
            array_map(static fn (Suggestion $s): SuggestionView => new SuggestionView($s->character->id, $s->character->organ, $s->character->label, $s->worth, $s->required, $words->sentence($s->because)), $assessment->next),
        );
    }

    /** @return list<EvidenceView> strongest first */
    public static function evidence(Identification $identification, English $words, string $for, string $against): array
    {
        return array_map(
            static fn (Contribution $c): EvidenceView => new EvidenceView($c->finding->character->id, $c->finding->character->label, self::seen($c->finding, $words), $c->decibans),
            $identification->evidence($for, $against),
        );
    }

    private static function danger(DangerReport $report, Flora $flora): DangerView
    {
        $danger = $report->danger;
        $lines = [];
        foreach (array_merge(...array_values($danger->contradictions)) as $line) {
            $lines[$line->id] = new LineView($line->id, $flora->character($line->character)->label, $line->reason, $line->agreements());
        }

        return new DangerView(
            $danger->taxon->id, $danger->taxon->name, $danger->taxon->commonName(), $danger->severity, $report->posterior, $danger->isExcluded(),
            array_map(static fn (string $id): string => $flora->character($id)->label, array_keys($danger->contradictions)), $report->lookAt?->id, $report->lookAt?->label, array_values($lines),
        );
    }

    private static function clearance(Clearance $clearance, English $words): ClearanceView
    {
        return new ClearanceView(
            $clearance->answer, $words->sentence($clearance->because), $clearance->until?->format('Y-m-d'), $clearance->nearest()->point ?? '',
            array_map(static fn (PointReport $p): PointView => new PointView(
                $p->point, $words->title($p->point), $p->status, $words->sentence($p->because), null === $p->change ? '' : $words->sentence($p->change),
                array_map(static fn (PointItem $i): PointItemView => new PointItemView($i->about, $i->subject, $words->label($i), $i->status, $i->detail->code, $words->sentence($i->detail)), $p->items), $p->when?->words(),
            ), $clearance->points),
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

<?php

declare(strict_types=1);

namespace App\Api\View;

use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\DangerReport;
use Hylognosis\Clearance\Clearance;
use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\PointReport;
use Hylognosis\Examination\Finding;
use Hylognosis\Identification\Contribution;
use Hylognosis\Identification\Identification;
use Hylognosis\Identification\Suggestion;

/** One full step of the engine. */
final readonly class AssessmentView
{
    /**
     * @param list<CandidateView>  $ranking
     * @param list<DangerView>     $dangers
     * @param list<SuggestionView> $next
     */
    public function __construct(
        public array $ranking, public float $unlisted, public float $fit, public bool $goodFit, public string $conclusion,
        public array $dangers, public ?ClearanceView $clearance, public array $next,
    ) {
    }

    /** @param int|null $explained how many candidates come with their evidence; null for all */
    public static function of(Assessment $assessment, ?int $explained = null): self
    {
        $identification = $assessment->identification;
        $flora = $identification->compiled->flora;
        $ranking = $identification->ranking();
        $candidates = [];
        foreach ($ranking as $i => $candidate) {
            $taxon = $flora->taxon($candidate->taxon);
            $rival = $ranking[0 === $i ? 1 : 0]->taxon;
            $evidence = null !== $explained && $i >= $explained ? [] : self::evidence($identification, $candidate->taxon, $rival);
            $candidates[] = new CandidateView($taxon->id, $taxon->name, $taxon->commonName(), $taxon->severity()->value, $candidate->posterior, $flora->taxon($rival)->commonName(), $evidence);
        }

        return new self(
            $candidates, $identification->unlisted, $identification->fit, $identification->hasGoodFit(), $identification->conclusion()->value,
            array_map(static fn (DangerReport $r): DangerView => new DangerView(
                $r->danger->taxon->id, $r->danger->taxon->name, $r->danger->taxon->commonName(), $r->danger->severity->value, $r->posterior,
                $r->danger->isExcluded(), array_map(static fn (string $id): string => $flora->character($id)->label, $r->danger->contradictions), $r->lookAt?->id, $r->lookAt?->label,
            ), $assessment->dangers),
            null === $assessment->clearance ? null : self::clearance($assessment->clearance),
            array_map(static fn (Suggestion $s): SuggestionView => new SuggestionView($s->character->id, $s->character->organ->value, $s->character->label, $s->worth, $s->required, $s->because), $assessment->next),
        );
    }

    /** @return list<EvidenceView> strongest first */
    public static function evidence(Identification $identification, string $for, string $against): array
    {
        return array_map(
            static fn (Contribution $c): EvidenceView => new EvidenceView($c->finding->character->id, $c->finding->character->label, self::seen($c->finding), $c->decibans),
            $identification->evidence($for, $against),
        );
    }

    private static function clearance(Clearance $clearance): ClearanceView
    {
        return new ClearanceView(
            $clearance->answer->value, $clearance->because, $clearance->until?->format('Y-m-d'), $clearance->nearest()->point ?? '',
            array_map(static fn (PointReport $p): PointView => new PointView(
                $p->point, $p->title, $p->status->value, $p->because, $p->change,
                array_map(static fn (PointItem $i): PointItemView => new PointItemView($i->subject, $i->label, $i->status->value, $i->detail), $p->items), $p->when?->words(),
            ), $clearance->points),
        );
    }

    private static function seen(Finding $finding): string
    {
        $summary = $finding->summary();
        if (null !== $summary && $summary->count > 1) {
            return trim($summary->words().' '.$finding->character->unit);
        }
        $values = array_unique($finding->values());

        return trim(implode(', ', array_map(static fn (string|float $v): string => \is_string($v) ? $finding->character->state($v)->label : (string) $v, $values)).' '.$finding->character->unit);
    }
}

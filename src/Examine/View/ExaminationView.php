<?php

declare(strict_types=1);

namespace App\Examine\View;

use App\Account\View\PersonView;
use App\Harvest\View\HarvestView;
use App\Trees\View\SpecimenView;
use Hylognosis\Flora\LifeStage;

/** An examination with everything the engine says of it. */
final readonly class ExaminationView
{
    /**
     * @param list<string>        $reach
     * @param list<string>        $kit
     * @param array<string, bool> $conditions
     * @param list<ScoreView>     $scores    in the order they were recorded
     * @param list<HarvestView>   $harvests
     * @param list<DecisionView>  $decisions newest first
     * @param list<string>        $outOfSeason ids of characters no taxon of the flora shows on that day
     */
    public function __construct(
        public string $id, public SpecimenView $specimen, public PersonView $examiner, public bool $mine, public string $date, public LifeStage $stage, public string $flora,
        public string $route, public array $reach, public array $kit, public bool $signed, public bool $namesCovered, public bool $hopeCovered, public bool $blind,
        public ?string $claimTaxon, public ?string $claimPart, public array $conditions, public ?string $secondOf, public bool $unprejudiced, public string $dateReason, public ?string $reconsideredBecause,
        public array $scores, public AssessmentView $assessment, public array $harvests, public array $decisions, public array $outOfSeason,
    ) {
    }
}

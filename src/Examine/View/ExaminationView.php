<?php

declare(strict_types=1);

namespace App\Examine\View;

use App\Account\View\PersonView;
use App\Harvest\View\HarvestView;
use App\Trees\View\SpecimenView;
use Hylognosis\Flora\LifeStage;

/**
 * An examination as the screen shows it. The points of the gate, and what each answer leans on, are asked for apart.
 */
final readonly class ExaminationView
{
    /**
     * @param string              $id                  its id
     * @param bool                $mine                whether it is the reader’s own
     * @param string              $date                day of the examination, YYYY-MM-DD
     * @param string              $flora               name of the flora
     * @param string              $route               order in which the stations are walked
     * @param list<string>        $reach               how far one gets: ground, hand, binoculars, cut
     * @param list<string>        $kit                 instruments at hand: none, rule, hand-lens, knife,
     *                                         ultraviolet-torch
     * @param bool                $signed              its scores are closed for good
     * @param bool                $namesCovered        names are not told yet
     * @param bool                $hopeCovered         neither the hope nor the answer is told: the examiner looks as
     *                                         the second person
     * @param ClaimView|null      $claim               none where nothing is hoped for, or the hope is covered
     * @param array<string, bool> $conditions          answers given, by condition
     * @param string|null         $secondOf            id of the examination this is the second look at
     * @param bool                $unprejudiced        whether its examiner had seen nothing of the first look
     * @param string              $dateReason          why it is older than its scores; empty where it is not
     * @param string|null         $reconsideredBecause why its conclusion was taken back; null where it stands
     * @param list<HandedOverView> $handedOver who had it before, in order
     * @param list<ScoreView>     $scores              in the order they were recorded
     * @param list<HarvestView>   $harvests            newest first
     * @param list<DecisionView>  $decisions           newest first
     * @param list<string>        $inSight             ids of the characters the examiner is asked about, in the order
     *                                         of the catalogue
     * @param list<AsleepView>    $asleep              characters no tree can show on that day
     */
    public function __construct(
        public string $id,
        public SpecimenView $specimen,
        public PersonView $examiner,
        public bool $mine,
        public string $date,
        public LifeStage $stage,
        public string $flora,
        public string $route,
        public array $reach,
        public array $kit,
        public bool $signed,
        public bool $namesCovered,
        public bool $hopeCovered,
        public ?ClaimView $claim,
        public array $conditions,
        public ?string $secondOf,
        public bool $unprejudiced,
        public string $dateReason,
        public ?string $reconsideredBecause,
        public array $handedOver,
        public array $scores,
        public AssessmentView $assessment,
        public array $harvests,
        public array $decisions,
        public array $inSight,
        public array $asleep,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\Day;
use App\Web\Input\PlainText;
use Hylognosis\Flora\LifeStage;
use Symfony\Component\Validator\Constraints as Assert;

/** What is to be changed of an unsigned examination; what is null stays. */
final readonly class ExaminationChange
{
    /**
     * @param string|null                   $date         to move it to, YYYY-MM-DD
     * @param string                        $dateReason   why the examination is older than its scores; wanted where
     *                                         scores are recorded
     * @param string|null                   $route        null leaves it as it is
     * @param list<string>|null             $reach        null leaves it as it is
     * @param list<string>|null             $kit          null leaves it as it is
     * @param string|null                   $claimTaxon   id of the taxon hoped for
     * @param string|null                   $claimPart    id of the part hoped for
     * @param bool                          $dropClaim    nothing is hoped for any more
     * @param array<string, bool|null>|null $conditions   answers by condition; null takes an answer back
     * @param bool                          $uncoverNames names are uncovered, on record
     */
    public function __construct(
        #[Day]
        public ?string $date = null,
        #[Assert\Length(max: 500)]
        #[PlainText]
        public string $dateReason = '',
        public ?LifeStage $stage = null,
        #[Assert\Choice(['branch-first', 'bark-first', 'leaf-first', 'outline-inward'])]
        public ?string $route = null,
        #[Assert\All([new Assert\NotNull(), new Assert\Choice(['ground', 'hand', 'binoculars', 'cut'])])]
        #[Assert\Count(max: 10)]
        public ?array $reach = null,
        #[Assert\All([
            new Assert\NotNull(),
            new Assert\Choice(['none', 'rule', 'hand-lens', 'knife', 'ultraviolet-torch']),
        ])]
        #[Assert\Count(max: 10)]
        public ?array $kit = null,
        #[Assert\Length(max: 64)]
        public ?string $claimTaxon = null,
        #[Assert\Length(max: 64)]
        public ?string $claimPart = null,
        public bool $dropClaim = false,
        #[Assert\All([new Assert\Type('bool', message: 'Answer true, false, or null to take an answer back.')])]
        #[Assert\Count(max: 20)]
        public ?array $conditions = null,
        public bool $uncoverNames = false,
    ) {
    }
}

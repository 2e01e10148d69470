<?php

declare(strict_types=1);

namespace App\Api\Input;

use Hylognosis\Flora\LifeStage;
use Symfony\Component\Validator\Constraints as Assert;

/** What is to be changed of an unsigned examination; what is null stays. */
final readonly class ExaminationChange
{
    /**
     * @param list<string>|null         $reach
     * @param list<string>|null         $kit
     * @param array<string, bool|null>|null $conditions answers by condition; null takes an answer back
     */
    public function __construct(
        #[Day]
        public ?string $date = null,
        #[Assert\Length(max: 500)]
        public string $dateReason = '',
        public ?LifeStage $stage = null,
        #[Assert\Choice(['branch-first', 'bark-first', 'leaf-first', 'outline-inward'])]
        public ?string $route = null,
        #[Assert\All([new Assert\Choice(['ground', 'hand', 'binoculars', 'cut'])])]
        public ?array $reach = null,
        #[Assert\All([new Assert\Choice(['none', 'rule', 'hand-lens', 'knife', 'ultraviolet-torch'])])]
        public ?array $kit = null,
        public ?string $claimTaxon = null,
        public ?string $claimPart = null,
        public bool $dropClaim = false,
        public ?array $conditions = null,
        public bool $uncoverNames = false,
    ) {
    }
}

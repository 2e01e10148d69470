<?php

declare(strict_types=1);

namespace App\Api\Input;

use Hylognosis\Flora\LifeStage;
use Symfony\Component\Validator\Constraints as Assert;

/** An examination to begin. */
final readonly class NewExamination
{
    /**
     * @param list<string>|null $reach null: everything
     * @param list<string>|null $kit   null: the usual
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Choose the tree.')]
        public string $specimenId,
        #[Day]
        public string $date,
        public LifeStage $stage = LifeStage::Mature,
        #[Assert\Choice(['branch-first', 'bark-first', 'leaf-first', 'outline-inward'])]
        public string $route = 'branch-first',
        #[Assert\All([new Assert\Choice(['ground', 'hand', 'binoculars', 'cut'])])]
        public ?array $reach = null,
        #[Assert\All([new Assert\Choice(['none', 'rule', 'hand-lens', 'knife', 'ultraviolet-torch'])])]
        public ?array $kit = null,
        public bool $blind = false,
        public ?string $claimTaxon = null,
        public ?string $claimPart = null,
        public ?string $secondOf = null,
    ) {
    }
}

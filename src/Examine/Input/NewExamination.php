<?php

declare(strict_types=1);

namespace App\Examine\Input;

use App\Web\Input\Day;
use Hylognosis\Flora\LifeStage;
use Symfony\Component\Validator\Constraints as Assert;

/** An examination to begin. */
final readonly class NewExamination
{
    /**
     * @param string            $specimenId id of the tree
     * @param string            $date       day of the examination, YYYY-MM-DD
     * @param string            $route      order in which the stations are walked
     * @param list<string>|null $reach      null: everything
     * @param list<string>|null $kit        null: the usual
     * @param bool              $blind      names stay covered until they are uncovered, on record
     * @param string|null       $claimTaxon id of the taxon hoped for
     * @param string|null       $claimPart  id of the part hoped for
     * @param string|null       $secondOf   id of the examination this is the second look at
     * @param string|null       $id         a UUID made by whoever sends it, so that scores can be sent after it; null:
     *                                         the server makes one
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Choose the tree.', normalizer: 'trim')]
        #[Assert\Length(max: 64)]
        public string $specimenId,
        #[Day] public string $date,
        public LifeStage $stage = LifeStage::Mature,
        #[Assert\Choice(['branch-first', 'bark-first', 'leaf-first', 'outline-inward'])]
        public string $route = 'branch-first',
        #[Assert\All([new Assert\NotNull(), new Assert\Choice(['ground', 'hand', 'binoculars', 'cut'])])]
        #[Assert\Count(max: 10)]
        public ?array $reach = null,
        #[Assert\All([
            new Assert\NotNull(),
            new Assert\Choice(['none', 'rule', 'hand-lens', 'knife', 'ultraviolet-torch']),
        ]),]
        #[Assert\Count(max: 10)] public ?array $kit = null,
        public bool $blind = false,
        #[Assert\Length(max: 64)] public ?string $claimTaxon = null,
        #[Assert\Length(max: 64)] public ?string $claimPart = null,
        #[Assert\Length(max: 64)] public ?string $secondOf = null,
        #[Assert\Uuid(message: 'The id must be a UUID.')] public ?string $id = null,
    ) {
    }
}

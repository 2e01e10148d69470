<?php

declare(strict_types=1);

namespace App\Species\View;

use App\Hazards\View\LookAlikeView;

/** What can be taken, when, after which features. */
final readonly class PartView
{
    /**
     * @param string                    $id            its id
     * @param string                    $label         name people read
     * @param list<string>              $uses          what it is good for
     * @param string                    $harmful       why nobody may take it; empty where it may be taken
     * @param string                    $window        window of the year at the reference place, in words; empty where
     *                                         it may never be taken
     * @param string                    $identified    in which its tree is examined, where that is another season; else
     *                                         empty
     * @param list<ConditionView>       $conditions    asked with the part in view
     * @param list<RequiredFeatureView> $required      features to be scored sure
     * @param list<LookAlikeView>       $lookAlikes    what it is mistaken for
     * @param list<string>              $preparation   how it is prepared, step by step
     * @param string                    $leave         what is left on the tree
     * @param int                       $freshnessDays days an examination holds for it
     * @param list<string>              $sources       where it is said
     * @param RehearsedView|null        $rehearsed     how often the gate opened in a rehearsal; null where it was not
     *                                         rehearsed
     * @param string                    $yield         what one tree gives, in words
     * @param int|null                  $effort        how much work it is, in words
     */
    public function __construct(
        public string $id,
        public string $label,
        public array $uses,
        public string $harmful,
        public string $window,
        public string $identified,
        public array $conditions,
        public array $required,
        public array $lookAlikes,
        public array $preparation,
        public string $leave,
        public int $freshnessDays,
        public array $sources,
        public ?RehearsedView $rehearsed,
        public string $yield,
        public ?int $effort,
    ) {
    }
}

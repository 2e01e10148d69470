<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\DeedKind;
use App\Account\DeedRepository;
use App\Clock\SchoolClock;
use App\Examine\SettledTrees;
use App\Learning\PracticeAnswer;
use App\Learning\PractisedTrees;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Learning\TrustLook;
use Hylognosis\Learning\TrustOutcome;

/** Trust falls at once where a look shows that something else was taken for the kind; nobody need press for that. */
final readonly class FallenTrust implements SettledTrees, PractisedTrees
{
    private const BECAUSE = 'A look of the learner took something else for it.';

    public function __construct(
        private TrustGrantRepository $grants,
        private TrustEvidence $evidence,
        private EntityManagerInterface $entities,
        private DeedRepository $deeds,
        private SchoolClock $clock,
    ) {
    }

    public function settled(Specimen $tree): void
    {
        $holding = $this->grants->holding();
        if ([] === $holding) {
            return;
        }
        $this->entities->flush(); // what was just signed is looked at too
        foreach ($holding as $grant) {
            $this->heed($grant, $this->evidence->at($tree, $grant));
        }
    }

    public function practised(PracticeAnswer $answer): void
    {
        foreach ($this->grants->holding($answer->by) as $grant) {
            $look = $this->evidence->inAnswer($answer, $grant);
            $this->heed($grant, null === $look ? [] : [$look]);
        }
    }

    /** @param list<TrustLook> $looks taken since it was granted */
    private function heed(TrustGrant $grant, array $looks): void
    {
        $before = array_column($grant->evidence, 'id');
        $wrong = array_filter(
            $looks,
            static fn (TrustLook $look): bool => TrustOutcome::ClearedWrongly === $look->outcome
                && !\in_array($look->id, $before, true),
        );
        if ([] !== $wrong) {
            $grant->withdraw($this->clock->now(), null, self::BECAUSE);
            $what = $grant->taxon.'/'.$grant->part;
            $this->deeds->note($grant->by, DeedKind::TrustFallen, $grant->learner->name, $what);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Trees\CoveredTrees;
use App\Trees\Specimen;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Of which trees nothing may be told to somebody now: they look at them as the second person, or a second person is
 * wanted today and they could still be that.
 */
#[AsAlias(CoveredTrees::class)]
final class Covers implements CoveredTrees, ResetInterface
{
    /** No examination holds for longer. */
    private const OLDEST = '-400 days';

    /** @var array<string, array<string, true>> by person, within a request */
    private array $known = [];

    public function __construct(
        private readonly ExaminationRepository $examinations,
        private readonly Summaries $summaries,
        private readonly SchoolClock $clock,
    ) {
    }

    public function for(User $reader): array
    {
        return $this->known[$reader->id] ??= $this->reckoned($reader);
    }

    public function hides(Specimen $tree, User $reader): bool
    {
        return isset($this->for($reader)[$tree->id]);
    }

    public function reset(): void
    {
        $this->known = [];
    }

    /** @return array<string, true> */
    private function reckoned(User $reader): array
    {
        $covered = [];
        foreach ($this->examinations->secondLooksOf($reader) as $record) {
            $covered[$record->specimen->id] = true;
        }
        if (!$reader->role->mayDecide()) {
            return $covered;
        }
        $wanting = array_values(
            array_filter(
                $this->examinations->wantingSince($reader, $this->clock->today()->modify(self::OLDEST)),
                static fn (ExaminationRecord $record): bool => !$record->isOpenTo($reader),
            ),
        );
        foreach ($this->summaries->of($wanting, $reader) as $i => $summary) {
            if ($summary->wantsSecond) {
                $covered[$wanting[$i]->specimen->id] = true;
            }
        }

        return $covered;
    }
}

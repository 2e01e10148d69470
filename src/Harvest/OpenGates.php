<?php

declare(strict_types=1);

namespace App\Harvest;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRepository;
use App\Examine\StoredExaminations;
use App\Harvest\View\OpenGateView;
use Hylognosis\Measure\CalendarDay;

/** Looks for trees of which something may be taken now. The gate of each is asked again when something is. */
final readonly class OpenGates
{
    /** Older examinations hardly clear anything: most windows are shorter. */
    private const DAYS = 60;
    private const MOST = 60;

    public function __construct(
        private ExaminationRepository $examinations,
        private StoredExaminations $stored,
        private SchoolClock $clock,
    ) {
    }

    /** @return list<OpenGateView> by kind and part, then by tag */
    public function for(User $user): array
    {
        if (!$user->role->mayExamine()) {
            return [];
        }
        $open = [];
        $since = $this->clock->today()->modify('-'.self::DAYS.' days');
        foreach ($this->examinations->hopingSince($user, $since, self::MOST) as $record) {
            if (!$user->role->mayDecide() && null === $this->stored->trust($record)) {
                continue;
            }
            $asked = $this->stored->asked($record);
            $claim = $asked->claim;
            if (null === $claim || true !== $this->stored->assess($record)->clearance?->isCleared()) {
                continue;
            }
            $what = $claim->taxon->id.'/'.$claim->part->id;
            $open[] = new OpenGateView(
                $record->id,
                $record->specimen->id,
                $record->specimen->tag,
                $record->specimen->site->name,
                CalendarDay::iso($record->date),
                $what,
                $claim->taxon->commonName(),
                $claim->part->label,
                $claim->part->handling->leave,
                $asked->terms->quotas[$claim->taxon->id]->allowed ?? null,
                $asked->terms->quotas[$claim->taxon->id]->used ?? 0,
            );
        }
        usort($open, static fn (OpenGateView $a, OpenGateView $b): int => [$a->what, $a->tag] <=> [$b->what, $b->tag]);

        return $open;
    }
}

<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Account\UserRepository;
use App\Library\Activity;
use App\Library\ActivityTable;
use App\Library\FloraLibrary;
use App\Teaching\View\ActivityView;
use App\Teaching\View\GroupDayRowView;
use App\Teaching\View\GroupDaysView;
use App\Teaching\View\GroupDayView;
use App\Teaching\View\NextView;
use App\Teaching\View\ParticipantView;
use App\Teaching\View\StationView;
use App\Trees\SpecimenRepository;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Measure\CalendarDay;

/** Lays out days with groups. */
final readonly class GroupPage
{
    private const MOST = 100;
    private const CONFUSES = 3;

    public function __construct(
        private EntityManagerInterface $entities,
        private ActivityTable $activities,
        private FloraLibrary $library,
        private SpecimenRepository $specimens,
        private UserRepository $users,
        private GroupOffer $offer,
    ) {
    }

    public function all(User $reader): GroupDaysView
    {
        $days = $this->entities->getRepository(GroupDay::class)->findBy(
            ['givenUpAt' => null],
            ['day' => 'DESC', 'id' => 'DESC'],
            self::MOST,
        );

        return new GroupDaysView(
            array_map(
                static fn (GroupDay $d): GroupDayRowView => new GroupDayRowView(
                    $d->id,
                    CalendarDay::iso($d->day),
                    $d->site->name,
                    $d->name,
                    \count($d->people) + $d->guests,
                    \count($d->stations),
                ),
                $days,
            ),
            array_map(self::activity(...), array_values($this->activities->all())),
            $reader->role->mayDecide(),
        );
    }

    public function of(GroupDay $day, User $reader): GroupDayView
    {
        $flora = $this->library->flora($reader->flora);
        $handsOff = $this->offer->handsOff($day->site, $day->day, $reader);
        $leads = $reader->role->mayDecide();
        $people = [];
        foreach ($this->people($day) as $person) {
            $people[] = new ParticipantView(
                $person->id,
                $person->name,
                // what somebody confuses is seen by himself and by instructors
                $leads || $person === $reader
                    ? \array_slice(array_keys($this->offer->confusedBy($flora, [$person])), 0, self::CONFUSES)
                    : [],
            );
        }
        for ($i = 1; $i <= $day->guests; ++$i) {
            $people[] = new ParticipantView("guest-$i", "guest $i", []);
        }
        $stations = [];
        foreach ($day->stations as $station) {
            $tree = null === $station['tree'] ? null : $this->specimens->find($station['tree']);
            $character = $flora->characters[$station['character']] ?? null;
            $activity = $this->activities->all()[$station['activity']] ?? null;
            $stations[] = new StationView(
                $station['id'],
                $tree?->id,
                $tree->tag ?? '',
                $tree->whereabouts ?? '',
                null === $tree || !\in_array($tree->tag, $handsOff, true),
                $station['character'],
                $character->label ?? '',
                $character->question ?? '',
                $character->hint ?? '',
                null === $activity ? null : self::activity($activity),
                $station['note'],
                $day->results[$station['id']] ?? [],
            );
        }
        $next = [];
        foreach ($day->next as $ask) {
            $next[] = new NextView(
                $ask['who'],
                $this->users->find($ask['who'])->name ?? '',
                $ask['character'],
                $flora->characters[$ask['character']]->label ?? $ask['character'],
            );
        }

        return new GroupDayView(
            $day->id,
            CalendarDay::iso($day->day),
            $day->site->id,
            $day->site->name,
            $day->name,
            $day->by->name,
            $day->guests,
            $people,
            $stations,
            $handsOff,
            $day->learnt,
            array_values(
                array_filter($next, static fn (NextView $n): bool => $leads || $n->who === $reader->id),
            ),
            $leads,
        );
    }

    /** @return list<User> */
    public function people(GroupDay $day): array
    {
        return array_values(
            array_filter(array_map(fn (string $id): ?User => $this->users->find($id), $day->people), is_object(...)),
        );
    }

    private static function activity(Activity $a): ActivityView
    {
        return new ActivityView(
            $a->id,
            $a->name,
            $a->aim,
            $a->minutes,
            $a->material,
            $a->how,
            $a->caution,
            $a->hasResults,
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Season;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationRepository;
use App\Examine\Summaries;
use App\Library\FloraLibrary;
use App\Trees\CoveredTrees;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Season\PartYear;
use Hylognosis\Season\Phenology;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/**
 * A year as a calendar (iCalendar, RFC 5545): windows, looks that must be made beforehand, second looks that wait,
 * permissions that end, days out. What an event is of makes its identity, so that another date moves it, and what is no
 * more is gone.
 */
final readonly class CalendarFeed
{
    private const SECONDS = 40;
    /** A second look is waited for so long. */
    private const WAITS = 14;

    public function __construct(
        private SiteRepository $sites,
        private SpecimenRepository $specimens,
        private LearnedSeasons $seasons,
        private ExaminationRepository $examinations,
        private Summaries $summaries,
        private CoveredTrees $covered,
        private PlannedDayRepository $days,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    public function of(User $reader): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Hylognosis//EN'], false);
        $calendar->add('VERSION', '2.0');
        $calendar->add('X-WR-CALNAME', 'Trees');
        $calendar->add('REFRESH-INTERVAL', 'P1D', ['VALUE' => 'DURATION']);
        $flora = $this->library->flora($reader->flora);
        $hidden = $this->covered->for($reader);
        $kinds = $sites = [];
        foreach ($this->specimens->kindsHeld($flora->name) as $tree) {
            if (!isset($hidden[$tree['id']])) {
                $kinds[$tree['site']][$tree['kind']][] = $tree['tag'];
            }
        }
        foreach ($this->sites->findBy(['id' => array_keys($kinds)]) as $site) {
            $sites[$site->id] = $site;
        }
        foreach ($kinds as $site => $of) {
            foreach ($of as $kind => $tags) {
                $taxon = $flora->taxa[$kind] ?? null;
                if (null === $taxon) {
                    continue;
                }
                foreach ($taxon->parts as $part) {
                    $this->windows($calendar, $flora, $taxon, $part, $sites[$site], $tags);
                }
            }
        }
        $this->permissions($calendar);
        $this->seconds($calendar, $reader);
        foreach ($this->days->from($this->clock->today()) as $day) {
            $this->add(
                $calendar,
                "plan-$day->id",
                $day->day,
                $day->day,
                '' === $day->name ? 'A day out' : $day->name,
                'Kept by '.$day->by->name.'. Trees: '.implode(', ', \array_slice($day->trees, 0, 12)).'.',
                '',
            );
        }

        return $calendar->serialize();
    }

    /** @param list<string> $tags */
    private function windows(VCalendar $calendar, Flora $flora, Taxon $taxon, Part $part, Site $site, array $tags): void
    {
        $years = $this->seasons->at($flora, $site);
        $today = $this->clock->today();
        $now = (int) $today->format('Y');
        $name = $taxon->commonName().', '.$part->label;
        $trees = 'Trees: '.implode(', ', \array_slice($tags, 0, 12)).'.';
        foreach ([$now, $now + 1] as $year) {
            $window = $years->window($taxon, $part, $site->id, '', $year);
            if (null === $window || CalendarDay::between($window->from->likely, $window->to->likely) > 300) {
                continue;
            }
            [$early, $late] = $window->from->eighty();
            $this->add(
                $calendar,
                "window-$site->id-$taxon->id-$part->id-$year",
                $window->from->likely,
                $window->to->likely,
                ucfirst($name),
                $trees.
                    ($window->isFixed
                        ? ''
                        : ' Begins between '.
                            $early->format('j F').
                            ' and '.
                            $late->format('j F').
                            ' in eight years of ten.').
                    ' The gate decides at the tree.',
                $site->name,
            );
        }
        $phenology = Phenology::at($flora, $site->place());
        $of = $phenology->shift->holds()
            ? PartYear::of($flora, $taxon, $part, $years, $phenology, $site->id, '', null, $today)
            : null;
        if (null !== $of?->lookFrom && null !== $of->lookBy && null !== $of->next && !$of->onTheSpot) {
            $this->add(
                $calendar,
                "look-$site->id-$taxon->id-$part->id-".$of->next->from->likely->format('Y'),
                $of->lookFrom,
                $of->lookBy,
                'Examine '.$name,
                $trees.' Later in the year it cannot be told by all that is required.',
                $site->name,
            );
        }
    }

    private function permissions(VCalendar $calendar): void
    {
        foreach ($this->sites->findAll() as $site) {
            if (null !== $site->permissionUntil && true === $site->permission) {
                $this->add(
                    $calendar,
                    "permission-$site->id",
                    $site->permissionUntil,
                    $site->permissionUntil,
                    'Permission ends: '.$site->name,
                    'Ask '.('' === $site->owner ? 'the owner' : $site->owner).' again.',
                    $site->name,
                );
            }
        }
    }

    private function seconds(VCalendar $calendar, User $reader): void
    {
        if (!$reader->role->mayDecide()) {
            return;
        }
        foreach ($this->summaries->of($this->examinations->wantingSecondFrom($reader, self::SECONDS), $reader) as $e) {
            if ($e->wantsSecond) {
                $day = CalendarDay::parse($e->date);
                $this->add(
                    $calendar,
                    "second-$e->id",
                    $day,
                    $day->modify('+'.self::WAITS.' days'),
                    'Second look: '.$e->tag,
                    'Signed by '.$e->examiner.'. What it is hoped to be is covered.',
                    $e->site,
                );
            }
        }
    }

    private function add(
        VCalendar $calendar,
        string $id,
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        string $summary,
        string $description,
        string $place,
    ): void {
        // without what it would add by itself: a stamp of this moment makes every fetch another calendar
        $event = $calendar->createComponent(
            'VEVENT',
            [
                'UID' => $id.'@hylognosis',
                'SUMMARY' => $summary,
                'DESCRIPTION' => $description,
                'LOCATION' => $place,
                'TRANSP' => 'TRANSPARENT',
            ],
            false,
        );
        \assert($event instanceof VEvent);
        $event->add('DTSTAMP', $this->clock->today()->format('Ymd\T000000\Z'));
        $event->add('DTSTART', $from->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $to->modify('+1 day')->format('Ymd'), ['VALUE' => 'DATE']); // the day after
        $calendar->add($event);
    }
}

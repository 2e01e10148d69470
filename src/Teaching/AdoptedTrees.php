<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ScoreRecord;
use App\Library\FloraLibrary;
use App\Pictures\Picture;
use App\Pictures\PictureRepository;
use App\Season\TreeEvent;
use App\Teaching\View\AdoptedTreeView;
use App\Teaching\View\AlbumMonthView;
use App\Teaching\View\AlbumPictureView;
use App\Teaching\View\WantedLookView;
use App\Trees\GoesWithTree;
use App\Trees\HeldKinds;
use App\Trees\Specimen;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Character;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Phenophase;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\DayOfYear;
use Hylognosis\Season\Phenology;

/** One tree, a whole year: what to look at this month, and what came of it. */
final readonly class AdoptedTrees implements GoesWithTree
{
    private const WANTED = 8;

    public function __construct(
        private EntityManagerInterface $entities,
        private PictureRepository $pictures,
        private HeldKinds $kinds,
        private FloraLibrary $library,
        private SchoolClock $clock,
    ) {
    }

    public function moved(Specimen $from, Specimen $to): void
    {
        foreach ($this->entities->getRepository(AdoptedTree::class)->findBy(['specimen' => $from]) as $adopted) {
            $adopted->specimen = $to;
        }
    }

    /** @return list<AdoptedTree> one's own; of all for an instructor */
    public function shownTo(User $reader): array
    {
        return $this->entities->getRepository(AdoptedTree::class)->findBy(
            $reader->role->mayDecide() ? [] : ['by' => $reader],
            ['endedOn' => 'ASC', 'since' => 'DESC', 'id' => 'DESC'],
        );
    }

    public function view(AdoptedTree $adopted, User $reader): AdoptedTreeView
    {
        $tree = $adopted->specimen;
        $flora = $this->library->flora($reader->flora);
        $hidden = $this->kinds->hiddenFrom($reader);
        $kind = $this->kinds->ofTree($tree, $hidden)[0] ?? null;
        $today = CalendarDay::iso($this->clock->today());

        return new AdoptedTreeView(
            $adopted->id,
            $tree->id,
            $tree->tag,
            $tree->site->name,
            $tree->whereabouts,
            null === $kind ? '' : $this->kinds->nameOf($tree),
            $adopted->by->name,
            $adopted->by === $reader,
            CalendarDay::iso($adopted->since),
            null === $adopted->endedOn ? null : CalendarDay::iso($adopted->endedOn),
            null === $adopted->endedOn
                ? $this->wanted($flora, $tree, $tree->kindFlora === $flora->name ? $kind : null)
                : [],
            $this->album($adopted, $flora, $reader),
            implode(
                '',
                array_map(
                    static fn (array $note): string => $note['on'] === $today ? $note['text'] : '',
                    $adopted->notes,
                ),
            ),
        );
    }

    /**
     * What can be seen this month and nobody has looked at: what is to be seen for the shortest part of the year first.
     *
     * @return list<WantedLookView>
     */
    private function wanted(Flora $flora, Specimen $tree, ?Taxon $kind): array
    {
        $day = DayOfYear::on($this->clock->today());
        $phenology = Phenology::at($flora, $tree->site->place());
        $looked = $this->looked($tree);
        $phases = \count(Phenophase::cases());
        $wanted = [];
        foreach ($flora->characters as $character) {
            if (isset($looked[$character->id]) || !self::mayShow($phenology, $flora, $kind, $character, $day)) {
                continue;
            }
            $wanted[] = [\count($character->sight->phenophases), $character];
        }
        usort($wanted, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(
            static fn (array $of): WantedLookView => new WantedLookView(
                $of[1]->id,
                $of[1]->label,
                $of[1]->question,
                $of[1]->organ->value,
                $of[0] < $phases - 1,
            ),
            \array_slice($wanted, 0, self::WANTED),
        );
    }

    /** Of a kind that is settled, what that kind has and shows; of any other, what half the kinds of the flora show. */
    private static function mayShow(
        Phenology $phenology,
        Flora $flora,
        ?Taxon $kind,
        Character $character,
        DayOfYear $day,
    ): bool {
        if (null !== $kind) {
            return \in_array($character->id, $kind->description->characters(), true)
                && $phenology->canShow($kind, $character, $day, 0);
        }
        $shows = array_filter(
            $flora->taxa,
            static fn (Taxon $t): bool => $phenology->canShow($t, $character, $day, 0)
                && \in_array($character->id, $t->description->characters(), true),
        );

        return 2 * \count($shows) > \count($flora->taxa);
    }

    /** @return array<string, true> characters anybody has scored on it */
    private function looked(Specimen $tree): array
    {
        /** @var list<array{character: string}> $rows */
        $rows = $this->entities
            ->createQueryBuilder()
            ->select('DISTINCT s.character')
            ->from(ScoreRecord::class, 's')
            ->join('s.examination', 'e')
            ->where('e.specimen = :tree AND s.takenBackAt IS NULL')
            ->setParameter('tree', $tree)
            ->getQuery()
            ->getArrayResult();

        return array_fill_keys(array_column($rows, 'character'), true);
    }

    /** @return list<AlbumMonthView> months in which anything was noted, the first first */
    private function album(AdoptedTree $adopted, Flora $flora, User $reader): array
    {
        $since = CalendarDay::iso($adopted->since);
        $until = CalendarDay::iso($adopted->endedOn ?? $this->clock->today());
        $within = static fn (string $day): bool => $since <= $day && $day <= $until;
        $months = [];
        foreach ($adopted->notes as $note) {
            $months[substr($note['on'], 0, 7)]['notes'][] = $note['on'].': '.$note['text'];
        }
        $events = $this->entities->getRepository(TreeEvent::class)->findBy(['specimen' => $adopted->specimen]);
        foreach ($events as $event) {
            $on = CalendarDay::iso($event->on);
            if (null === $event->takenBackAt && $within($on)) {
                $months[substr($on, 0, 7)]['events'][] = $on.': '.$event->event->words();
            }
        }
        foreach ($this->scored($adopted) as [$on, $character]) {
            if ($within($on) && isset($flora->characters[$character])) {
                $months[substr($on, 0, 7)]['looked'][$character] = $flora->characters[$character]->label;
            }
        }
        foreach ($this->pictures->ofTree($adopted->specimen, $reader) as $picture) {
            $on = CalendarDay::iso($picture->takenOn);
            if ($within($on)) {
                $months[substr($on, 0, 7)]['pictures'][] = self::picture($picture, $on);
            }
        }
        ksort($months);
        $views = [];
        foreach ($months as $month => $of) {
            $views[] = new AlbumMonthView(
                $month,
                $of['notes'] ?? [],
                $of['events'] ?? [],
                array_values($of['looked'] ?? []),
                $of['pictures'] ?? [],
            );
        }

        return $views;
    }

    private static function picture(Picture $picture, string $on): AlbumPictureView
    {
        return new AlbumPictureView($picture->id, $picture->caption, $on);
    }

    /** @return list<array{string, string}> day and character of what he scored there himself */
    private function scored(AdoptedTree $adopted): array
    {
        /** @var list<ScoreRecord> $scores */
        $scores = $this->entities
            ->createQueryBuilder()
            ->select('s', 'e')
            ->from(ScoreRecord::class, 's')
            ->join('s.examination', 'e')
            ->where('e.specimen = :tree AND e.examiner = :by AND s.takenBackAt IS NULL')
            ->setParameter('tree', $adopted->specimen)
            ->setParameter('by', $adopted->by)
            ->orderBy('s.recordedAt')
            ->getQuery()
            ->getResult();

        return array_map(
            static fn (ScoreRecord $s): array => [CalendarDay::iso($s->recordedAt), $s->character],
            $scores,
        );
    }
}

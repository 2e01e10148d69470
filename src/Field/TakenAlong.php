<?php

declare(strict_types=1);

namespace App\Field;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\ExaminationPage;
use App\Examine\ExaminationRecord;
use App\Examine\ExaminationRepository;
use App\Examine\StoredExaminations;
use App\Examine\Takings;
use App\Field\View\PackedFloraView;
use App\Field\View\TakenAlongView;
use App\Field\View\TakenExaminationView;
use App\Field\View\TakenPlaceView;
use App\Library\Engine;
use App\Library\FloraLibrary;
use App\Trees\Gone;
use App\Trees\Site;
use App\Trees\SiteRepository;
use App\Trees\SpecimenRepository;
use App\Trees\TreeLabels;
use App\Trees\View\SiteView;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\InquiryWriter;
use Hylognosis\Clearance\PlaceTerms;
use Hylognosis\Measure\CalendarDay;

/** Draws up what somebody takes along into the wood. What is covered from them here is not sent either. */
final readonly class TakenAlong
{
    /** Today and six days more. Permissions, quotas and other people’s looks do not stand still for longer. */
    private const DAYS = 6;
    private const MOST_TREES = 2000;
    private const MOST_EXAMINATIONS = 60;
    /** No examination holds for longer. */
    private const OLDEST = '-60 days';

    public function __construct(
        private ExaminationRepository $examinations,
        private ExaminationPage $page,
        private StoredExaminations $stored,
        private SiteRepository $sites,
        private SpecimenRepository $specimens,
        private TreeLabels $labels,
        private Takings $takings,
        private FloraLibrary $library,
        private PackedFlora $packed,
        private Engine $engine,
        private SchoolClock $clock,
    ) {
    }

    /** @param list<string> $sites ids of the places one goes to; none: all of them */
    public function for(User $user, array $sites): TakenAlongView
    {
        $records = $this->records($user);
        $places = [] === $sites ? $this->sites->findAll() : $this->sites->findBy(['id' => $sites]);
        foreach ($records as $record) {
            if (!\in_array($record->specimen->site, $places, true)) {
                $places[] = $record->specimen->site;
            }
        }
        $trees = $this->specimens->findBy(['site' => $places, 'gone' => Gone::Not], ['tag' => 'ASC'], self::MOST_TREES);
        $floras = array_values(
            array_unique([$user->flora, ...array_map(static fn (ExaminationRecord $r): string => $r->flora, $records)]),
        );

        return new TakenAlongView(
            $this->at(),
            $this->until(),
            $user->id,
            $user->role->examiner(),
            $this->engine->version,
            array_map($this->flora(...), $floras),
            array_map(
                fn (Site $site): TakenPlaceView => new TakenPlaceView(SiteView::of($site), $this->rules($site)),
                $places,
            ),
            $this->labels->of($trees, $user),
            array_map(
                fn (ExaminationRecord $record): TakenExaminationView => $this->examination($record, $user),
                $records,
            ),
        );
    }

    /** @return list<ExaminationRecord> one’s own, open or signed not long ago */
    private function records(User $user): array
    {
        $signed = array_filter(
            $this->examinations->hopingSince(
                $user,
                $this->clock->today()->modify(self::OLDEST),
                self::MOST_EXAMINATIONS,
            ),
            static fn (ExaminationRecord $record): bool => $record->examiner === $user,
        );

        return [...$this->examinations->openOf($user, self::MOST_EXAMINATIONS), ...array_values($signed)];
    }

    public function examination(ExaminationRecord $record, User $user): TakenExaminationView
    {
        $recorded = [];
        foreach ($record->scores as $score) {
            $recorded[$score->id] = $score->recordedAt->format(\DateTimeInterface::RFC3339);
        }

        return new TakenExaminationView(
            $this->page->of($record, $user),
            $this->told($record),
            $recorded,
            $record->hidesTheHope() ? [] : $record->conditionsOn,
            $this->rules($record->specimen->site),
            $this->at(),
            $this->until(),
        );
    }

    private function at(): string
    {
        return $this->clock->now()->format(\DateTimeInterface::RFC3339);
    }

    /** Last day what is taken along now is gone by, YYYY-MM-DD. */
    public function until(): string
    {
        return CalendarDay::iso($this->clock->today()->modify('+'.self::DAYS.' days'));
    }

    /**
     * What the engine is told beside the scores and the hope. Whoever looks as the second person gets nothing of the
     * first look, not even hidden.
     *
     * @return array<string, mixed>
     */
    private function told(ExaminationRecord $record): array
    {
        $asked = $this->stored->asked($record);
        $document = (new InquiryWriter())->write(
            $record->flora,
            new Inquiry(
                $asked->examination,
                $asked->place,
                $asked->decidedOn,
                null,
                new PlaceTerms(null),
                $record->hidesTheHope() ? [] : $asked->seconds,
                $asked->reach,
                $asked->kit,
                $asked->person,
            ),
        );
        unset($document['terms']);

        return ['observations' => []] + $document;
    }

    /** @return array<string, mixed> */
    private function rules(Site $site): array
    {
        $rules = $site->rules();
        $year = (int) $this->clock->today()->format('Y');
        $used = [];
        foreach (array_keys($rules->allowed) as $what) {
            [$taxon, $part] = explode('/', $what, 2) + ['', ''];
            $used[$what] = $this->takings->at($site, $taxon, $part, $year);
        }

        return [
            'permission' => $rules->permission,
            'until' => null === $rules->until ? null : CalendarDay::iso($rules->until),
            'parts' => $rules->parts,
            'protected' => $rules->protected,
            'allowed' => (object) $rules->allowed,
            'used' => (object) $used,
        ];
    }

    private function flora(string $name): PackedFloraView
    {
        $flora = $this->library->flora($name);

        return new PackedFloraView(
            $flora->name,
            $flora->title,
            $flora->edition,
            $flora->hash,
            $this->packed->stamp($name),
        );
    }
}

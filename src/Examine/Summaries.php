<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\View\ExaminationSummaryView;
use App\Library\FloraLibrary;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Clearance\Answer;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Trust;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Units;
use Hylognosis\Reason\Reason;
use Hylognosis\Wording\English;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Examinations in a line each. What the engine says of one is kept, with a stamp of everything it depends on; a list is
 * asked for far more often than anything of that changes.
 *
 * @phpstan-type Said array{stamp: string, findings: int, answer: string|null, signed: string|null, code: string, with: array<string, string|int|float|bool|list<string|float>|null>, wanted: bool}
 */
final readonly class Summaries
{
    /** Of what is kept; to be raised when that changes. */
    private const SHAPE = 2;

    public function __construct(
        private StoredExaminations $stored,
        private ExaminationRepository $examinations,
        private FloraLibrary $library,
        private SchoolClock $clock,
        private Takings $takings,
        #[Autowire(service: 'cache.summaries')] private CacheItemPoolInterface $cache,
    ) {
    }

    /**
     * @param list<ExaminationRecord> $records
     *
     * @return list<ExaminationSummaryView> in the same order
     */
    public function of(array $records, User $viewer): array
    {
        if ([] === $records) {
            return [];
        }
        $stamps = $this->stamps($records);
        $views = [];
        foreach ($records as $record) {
            $item = $this->cache->getItem($record->id);
            $said = $item->get();
            if (!\is_array($said) || ($said['stamp'] ?? '') !== $stamps[$record->id]) {
                $said = $this->said($record, $stamps[$record->id]);
                $this->cache->save($item->set($said));
            }
            /** @var Said $said */
            $views[] = $this->view($record, $viewer, $said);
        }

        return $views;
    }

    /** A second examiner is all that is missing. */
    public static function wantsSecond(Assessment $assessment): bool
    {
        $missing = [];
        foreach ($assessment->clearance->points ?? [] as $point) {
            if (PointStatus::Met !== $point->status) {
                $missing[$point->point] = $point->status;
            }
        }

        return PointStatus::Open === ($missing['people'] ?? null)
            && [] === array_diff(array_keys($missing), ['people', 'part-and-condition']);
    }

    /** In one line. Where a second person is wanted, whoever could be that must not learn the hope here. */
    private function view(ExaminationRecord $record, User $viewer, mixed $said): ExaminationSummaryView
    {
        /** @var Said $said */
        $flora = $this->stored->flora($record);
        $covered =
            $record->hidesTheHope()
            || ($said['wanted'] && $record->examiner !== $viewer && !\in_array($viewer->id, $record->seenBy, true));
        $taxon = null === $record->claimTaxon || $covered ? null : $flora->taxon($record->claimTaxon);
        $words = new English($flora, Units::from($viewer->units), $record->hidesNames());

        return new ExaminationSummaryView(
            $record->id,
            $record->specimen->id,
            $record->specimen->tag,
            $record->specimen->site->name,
            $record->examiner->name,
            $record->examiner === $viewer,
            CalendarDay::iso($record->date),
            $record->isSigned(),
            $said['findings'],
            null === $taxon || null === $record->claimPart
                ? null
                : $taxon->commonName().', '.$taxon->part($record->claimPart)->label,
            $covered || null === $said['answer'] ? null : Answer::from($said['answer']),
            $covered || null === $said['answer'] ? '' : $words->sentence(new Reason($said['code'], $said['with'])),
            $said['wanted'],
            $covered,
            $covered || null === $said['signed'] ? null : Answer::from($said['signed']),
        );
    }

    /** @return Said */
    private function said(ExaminationRecord $record, string $stamp): array
    {
        $assessment = $this->stored->assess($record);
        $clearance = $assessment->clearance;

        return [
            'stamp' => $stamp,
            'findings' => \count($assessment->identification->examination->findings),
            'answer' => $clearance?->answer->value,
            'signed' => $record->isSigned() ? $this->examinations->answerWhenSigned($record)?->value : null,
            'code' => $clearance->because->code ?? '',
            'with' => $clearance->because->with ?? [],
            'wanted' => $record->isSigned() && self::wantsSecond($assessment),
        ];
    }

    /**
     * @param list<ExaminationRecord> $records
     *
     * @return array<string, string> by id: everything what is said of it depends on
     */
    private function stamps(array $records): array
    {
        $today = $this->clock->today();
        $seconds = $this->examinations->stampsOfSeconds($records);
        $scores = $this->examinations->stampsOfScores(
            array_values(array_filter($records, static fn (ExaminationRecord $record): bool => !$record->isSigned())),
        );
        $stamps = $used = [];
        foreach ($records as $record) {
            $site = $record->specimen->site;
            $used[$site->id] ??= array_map(
                fn (string $what): int => $this->takings->at(
                    $site,
                    (string) strtok($what, '/'),
                    substr((string) strrchr($what, '/'), 1),
                    (int) $today->format('Y'),
                ),
                array_keys($site->quotas),
            );
            $stamps[$record->id] = hash(
                'xxh128',
                serialize([
                    self::SHAPE,
                    CalendarDay::iso($today),
                    $this->library->stamp($record->flora),
                    $record->stage,
                    $record->reach,
                    $record->kit,
                    $record->claimTaxon,
                    $record->claimPart,
                    $record->conditions,
                    $record->conditionsOn,
                    CalendarDay::iso($record->date),
                    $record->isSigned(),
                    $record->unprejudiced,
                    $record->examinerRole(),
                    $record->examiner->id,
                    self::inWords($this->stored->trust($record)),
                    $site->permission,
                    $site->permissionParts,
                    null === $site->permissionUntil ? '' : CalendarDay::iso($site->permissionUntil),
                    $site->protectedTaxa,
                    $site->quotas,
                    $site->latitude,
                    $site->longitude,
                    $site->altitude,
                    $used[$site->id],
                    $seconds[($record->secondOf ?? $record)->id] ?? '',
                    $scores[$record->id] ?? '',
                ]),
            );
        }

        return $stamps;
    }

    private static function inWords(?Trust $trust): string
    {
        return null === $trust ? '' : CalendarDay::iso($trust->from).'/'.CalendarDay::iso($trust->until);
    }
}

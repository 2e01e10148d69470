<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Account\UserRepository;
use App\Examine\View\DecisionPageView;
use App\Examine\View\PointItemView;
use App\Examine\View\PointView;
use App\Examine\View\ScoreLineView;
use App\Library\FloraEditionRepository;
use App\Library\FloraRefused;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Assessment\Inquiry;
use Hylognosis\Assessment\InquiryReader;
use Hylognosis\Clearance\PointItem;
use Hylognosis\Clearance\PointStatus;
use Hylognosis\Clearance\Subject;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Examination\Examination;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraReader;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\Units;
use Hylognosis\Reason\Reason;
use Hylognosis\Wording\English;

/**
 * Explains a decision by what was recorded with it: the words are made of the edition of the flora it was taken with,
 * and today's engine is asked the same question again.
 */
final readonly class DecisionPage
{
    public function __construct(
        private Decisions $decisions,
        private FloraEditionRepository $editions,
        private StoredExaminations $stored,
        private UserRepository $people,
        private Assessor $assessor,
    ) {
    }

    public function of(DecisionRecord $decision, User $reader): DecisionPageView
    {
        $edition = $this->editions->find($decision->floraHash);
        $current = $this->stored->flora($decision->examination);
        $asCompiled = static fn (Flora $flora): \Closure => static fn (
            LifeStage $stage,
        ): CompiledFlora => CompiledFlora::of($flora, $stage);
        try {
            if (null === $edition || $current->hash === $decision->floraHash) {
                // the edition in use still: no need to make it anew from what was kept
                $flora = $current;
                $asCompiled = fn (): \Closure => $this->stored->compiler($decision->examination);
            } else {
                $flora = (new FloraReader())->read($edition->unpacked());
            }
            $kept = null !== $edition;
        } catch (FloraRefused|DocumentError) {
            [$flora, $kept] = [$current, false];
        }
        $words = new English($flora, Units::from($reader->units));
        $inquiry = $kept ? $this->inquiry($decision, $flora) : null;
        $taxon = $flora->taxa[$decision->taxon] ?? null;
        $part = null === $taxon ? null : $taxon->parts[$decision->part] ?? null;

        return new DecisionPageView(
            $decision->id,
            $decision->number,
            $decision->hash,
            $decision->previous,
            $this->decisions->faultOf($decision),
            CalendarDay::iso($decision->decidedOn),
            null === $decision->validUntil ? null : CalendarDay::iso($decision->validUntil),
            $decision->decidedBy->name,
            $decision->examination->id,
            $decision->examination->examiner->name,
            $decision->examination->specimen->tag,
            $decision->examination->specimen->site->name,
            null === $taxon ? $decision->taxon : $taxon->commonName(),
            $taxon->name ?? '',
            null === $part ? $decision->part : $part->label,
            $decision->answer,
            $words->sentence($decision->reason()),
            $decision->posterior,
            array_map(static fn (array $p): PointView => self::point($p, $words), $decision->points),
            null === $inquiry ? [] : $this->scores($inquiry, $words),
            $flora->title,
            $edition->edition ?? $flora->edition,
            $decision->floraHash,
            $kept,
            $decision->engine,
            null === $inquiry ? null : $this->assessor->assess($asCompiled($flora), $inquiry)->clearance?->answer,
            $decision->inputs,
        );
    }

    private function inquiry(DecisionRecord $decision, Flora $flora): ?Inquiry
    {
        try {
            return [] === $decision->inputs ? null : (new InquiryReader())->read($flora, Node::root($decision->inputs));
        } catch (DocumentError) {
            return null;
        }
    }

    /** @return list<ScoreLineView> */
    private function scores(Inquiry $inquiry, English $words): array
    {
        $lines = self::lines($inquiry->examination, '', $words);
        foreach ($inquiry->seconds as $second) {
            $who = $this->people->find($second->person);
            array_push($lines, ...self::lines($second->examination, $who->name ?? 'another person', $words));
        }

        return $lines;
    }

    /** @return list<ScoreLineView> */
    private static function lines(Examination $examination, string $by, English $words): array
    {
        $lines = [];
        foreach ($examination->findings as $id => $finding) {
            $lines[] = new ScoreLineView(
                $finding->character->label,
                $finding->isNotApplicable() ? 'makes no sense here' : $words->valuesOf($id, ...$finding->values()),
                $by,
            );
        }

        return $lines;
    }

    /** @param array{point: string, status: string, because: array{code: string, with: array<string, mixed>}, items?: list<array{about: string, subject: string, status: string, detail: array{code: string, with: array<string, mixed>}}>} $point */
    private static function point(array $point, English $words): PointView
    {
        return new PointView(
            $point['point'],
            $words->title($point['point']),
            PointStatus::from($point['status']),
            $words->sentence(self::reason($point['because'])),
            '',
            array_map(static function (array $item) use ($words): PointItemView {
                $kept = new PointItem(
                    Subject::from($item['about']),
                    $item['subject'],
                    PointStatus::from($item['status']),
                    self::reason($item['detail']),
                );

                return new PointItemView(
                    $kept->about,
                    $kept->subject,
                    $words->label($kept),
                    $kept->status,
                    $kept->detail->code,
                    $words->sentence($kept->detail),
                );
            }, $point['items'] ?? []),
            null,
        );
    }

    /** @param array{code: string, with: array<string, mixed>} $because */
    private static function reason(array $because): Reason
    {
        /** @var array<string, string|int|float|bool|list<string|float>|null> $with */
        $with = $because['with'];

        return new Reason($because['code'], $with);
    }
}

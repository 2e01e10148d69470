<?php

declare(strict_types=1);

namespace App\Field;

use App\Examine\Cover;
use App\Examine\Shown;
use App\Examine\View\AccountView;
use App\Examine\View\ContrastView;
use App\Examine\View\DangerAccountView;
use App\Examine\View\EvidenceView;
use Hylognosis\Assessment\Assessment;
use Hylognosis\Assessment\Assessor;
use Hylognosis\Clearance\Claim;
use Hylognosis\Crop\DoubtfulTake;
use Hylognosis\Crop\TypicalCrop;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LifeStage;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Identification\CompiledFlora;
use Hylognosis\Identification\CompiledTables;
use Hylognosis\Measure\Amount;
use Hylognosis\Measure\AmountUnit;
use Hylognosis\Measure\Units;
use Hylognosis\Wording\English;
use Hylognosis\Wording\TakeWords;

/**
 * Answers for the server out of its reach, by the same rules: it runs on the device itself, in a worker of the browser.
 * Plain, without framework or database.
 */
final class FieldDesk
{
    /** @var array<string, Flora> by hash */
    private array $floras = [];
    /** @var array<string, array<string, string>> hash → life stage → what takes long of it, packed */
    private array $tables = [];
    /** @var array<string, array<string, TypicalCrop>> hash → "taxon/part" → what it bears */
    private array $crops = [];
    /** @var array<string, CompiledFlora> */
    private array $compiled = [];

    public function __construct(private readonly Assessor $assessor = new Assessor())
    {
    }

    /**
     * Lays a flora on the desk, as {@see PackedFlora} packed it.
     *
     * @throws \UnexpectedValueException if it is none
     */
    public function lay(string $hash, string $packed): void
    {
        $what = unserialize($packed);
        if (!\is_array($what) || !(($what['flora'] ?? null) instanceof Flora) || !\is_array($what['tables'] ?? null)) {
            throw new \UnexpectedValueException('This is no packed flora.');
        }
        $this->floras[$hash] = $what['flora'];
        $this->tables[$hash] = [];
        foreach ($what['tables'] as $stage => $tables) {
            if (\is_string($tables)) {
                $this->tables[$hash][(string) $stage] = $tables;
            }
        }
        $this->crops[$hash] = [];
        foreach (\is_array($what['crops'] ?? null) ? $what['crops'] : [] as $of => $crop) {
            if ($crop instanceof TypicalCrop) {
                $this->crops[$hash][(string) $of] = $crop;
            }
        }
        $this->compiled = [];
    }

    public function has(string $hash): bool
    {
        return isset($this->floras[$hash]);
    }

    /**
     * @param string $request JSON: the hash of the flora, the examination as it was taken along, an entry to be laid on
     *                        it, and what is asked
     *
     * @return string JSON: status as the server would give it, and body
     */
    public function answer(string $request): string
    {
        try {
            $body = $this->body(Node::root(json_decode($request, true, flags: \JSON_THROW_ON_ERROR)));
            $status = 200;
        } catch (NotTaken $e) {
            $status = $e->status;
            $body = [
                'detail' => $e->getMessage(),
                'violations' => '' === $e->field ? [] : [['propertyPath' => $e->field, 'title' => $e->getMessage()]],
            ];
        } catch (DocumentError $e) {
            [$status, $body] = [422, ['detail' => $e->getMessage(), 'violations' => []]];
        }

        return json_encode(
            ['status' => $status, 'body' => $body],
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE,
        );
    }

    /** @throws NotTaken */
    private function body(Node $request): mixed
    {
        $hash = $request->text('flora');
        $flora = $this->floras[$hash] ?? throw new NotTaken(404, 'This flora was not taken along.');
        $examination = new FieldExamination($flora, $request->child('taken'), $request->text('today'));
        $entry = $request->has('entry') ? $request->child('entry') : null;
        if (null !== $entry && 'harvest' === $entry->text('do')) {
            $this->mayTake($hash, $examination);
            $this->isMeant($hash, $examination, $entry->child('body'), $request->word('units', Units::class));
        }
        if (null !== $entry) {
            $examination->enter($entry);
        }
        $words = new English($flora, $request->word('units', Units::class), Cover::Names === $examination->cover());
        $asked = $examination->asked();
        $assessment = $this->assessor->assess($this->compiler($hash), $asked);
        $with = $request->has('with') ? $request->child('with') : Node::root([]);

        return match ($request->text('ask')) {
            'view' => $this->view($hash, $examination, $assessment, $words),
            'points' => Shown::points($assessment, $examination->cover(), $words) ??
                throw new NotTaken(404, 'The gate has not been asked for anything here.'),
            'danger' => $this->danger($examination, $assessment, $with->text('taxon')),
            'evidence' => $this->evidence(
                $examination,
                $assessment,
                $words,
                $with->text('for'),
                $with->text('against'),
            ),
            default => throw new NotTaken(404, 'There is nothing at this address.'),
        };
    }

    /** @return array<string, mixed> */
    private function view(string $hash, FieldExamination $examination, Assessment $assessment, English $words): array
    {
        $asked = $examination->asked();
        $shown = Shown::of(
            $assessment,
            $asked->claim,
            $asked->terms->quotas[$asked->claim->taxon->id ?? ''] ?? null,
            $this->crop($hash, $asked->claim),
            $examination->cover(),
            $words,
        );

        return [
            ...$examination->shown(),
            'claim' => $shown->claim,
            'assessment' => $shown->assessment,
            'inSight' => $shown->inSight,
            'asleep' => $shown->asleep,
        ];
    }

    /** The server asks the gate again when it hears of it; here it must be open too. */
    private function mayTake(string $hash, FieldExamination $examination): void
    {
        if (!$examination->isSigned()) {
            throw new NotTaken(409, 'Sign the examination first.');
        }
        $clearance = $this->assessor->assess($this->compiler($hash), $examination->asked())->clearance;
        if (true !== $clearance?->isCleared()) {
            throw new NotTaken(
                409,
                'The gate is not open: '.
                    (null === $clearance
                        ? 'nothing was asked for.'
                        : (new English($this->floras[$hash], Units::Metric))->sentence($clearance->because)),
            );
        }
    }

    /** So much, or so little left, is asked about once more. */
    private function isMeant(string $hash, FieldExamination $examination, Node $taken, Units $units): void
    {
        if ($taken->flag('sure', false)) {
            return;
        }
        try {
            $amount = Amount::of($taken->number('amount', 0, 100_000), $taken->word('unit', AmountUnit::class));
        } catch (\InvalidArgumentException) {
            throw new NotTaken(422, 'Say how much was taken.', 'amount');
        }
        $left = $taken->has('shareLeft') ? (int) $taken->number('shareLeft', 0, 100) : 100;
        $doubtful = DoubtfulTake::of($amount, $left, $this->crop($hash, $examination->asked()->claim));
        if ([] !== $doubtful->doubts) {
            throw new NotTaken(422, TakeWords::doubts($doubtful, $units), 'sure');
        }
    }

    private function crop(string $hash, ?Claim $claim): ?TypicalCrop
    {
        return null === $claim ? null : $this->crops[$hash][$claim->taxon->id.'/'.$claim->part->id] ?? null;
    }

    private function danger(FieldExamination $examination, Assessment $assessment, string $taxon): DangerAccountView
    {
        self::mayWeigh($examination);
        foreach ($assessment->dangers as $report) {
            if ($report->danger->taxon->id === $taxon) {
                return DangerAccountView::of($report, $assessment->identification->compiled->flora);
            }
        }
        throw new NotTaken(404, \sprintf('"%s" is not among the dangers here.', $taxon));
    }

    private function evidence(
        FieldExamination $examination,
        Assessment $assessment,
        English $words,
        string $for,
        string $against,
    ): ContrastView {
        self::mayWeigh($examination);
        $flora = $assessment->identification->compiled->flora;
        try {
            $evidence = AccountView::evidence(
                $assessment->identification,
                $words,
                $flora->taxon($for)->id,
                $flora->taxon($against)->id,
            );
        } catch (UnknownEntry $e) {
            throw new NotTaken(404, $e->getMessage());
        }

        return new ContrastView(
            $for,
            $against,
            array_sum(array_map(static fn (EvidenceView $e): float => $e->decibans, $evidence)),
            $evidence,
        );
    }

    private static function mayWeigh(FieldExamination $examination): void
    {
        match ($examination->cover()) {
            Cover::Hope => throw new NotTaken(
                403,
                'You look at this tree as the second person; the evidence stays covered until you sign.',
            ),
            Cover::Names => throw new NotTaken(403, 'The names are covered; uncover them first.'),
            Cover::Nothing => null,
        };
    }

    /** @return \Closure(LifeStage): CompiledFlora */
    private function compiler(string $hash): \Closure
    {
        return function (LifeStage $stage) use ($hash): CompiledFlora {
            if (isset($this->compiled[$hash.$stage->value])) {
                return $this->compiled[$hash.$stage->value];
            }
            $tables = unserialize($this->tables[$hash][$stage->value] ?? 'N;');

            return $this->compiled[$hash.$stage->value] =
                $tables instanceof CompiledTables
                    ? CompiledFlora::with($this->floras[$hash], $stage, $tables)
                    : CompiledFlora::of($this->floras[$hash], $stage);
        };
    }
}

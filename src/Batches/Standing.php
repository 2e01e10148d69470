<?php

declare(strict_types=1);

namespace App\Batches;

use App\Examine\DecisionRecord;
use App\Examine\ExaminationRepository;
use App\Harvest\HarvestRecord;
use App\Trees\Specimen;
use Symfony\Contracts\Service\ResetInterface;

/** Whether what a harvest rests on still stands: here, and nowhere else, it is said what may be labelled. */
final class Standing implements ResetInterface
{
    /** @var list<Recall>|null */
    private ?array $recalls = null;

    public function __construct(
        private readonly RecallRepository $known,
        private readonly ExaminationRepository $examinations,
    ) {
    }

    public function of(HarvestRecord $harvest): ?BatchDoubt
    {
        $decision = $harvest->decision;
        $tree = $decision->examination->specimen;

        return match (true) {
            '' !== $tree->doubt => BatchDoubt::TreeDoubted,
            $this->isAnotherKind($tree, $decision) => BatchDoubt::AnotherKind,
            $this->isRecalled($harvest) => BatchDoubt::Recalled,
            default => null,
        };
    }

    /** The first doubt about anything that went into a batch, or about itself. */
    public function ofBatch(Batch $batch): ?BatchDoubt
    {
        foreach ($this->recalls() as $recall) {
            if ($this->touchesBatch($recall->what, $recall->about, $batch)) {
                return BatchDoubt::Recalled;
            }
        }
        foreach ($batch->sources as $source) {
            $doubt = $this->of($source->harvest);
            if (null !== $doubt) {
                return $doubt;
            }
        }

        return null;
    }

    /** Anything that went into it, or anything it was once one pot with. */
    public function touchesBatch(RecallOf $what, string $about, Batch $batch): bool
    {
        if (RecallOf::Batch === $what) {
            return \in_array($about, array_map(static fn (Batch $b): string => $b->id, $batch->family()), true);
        }
        foreach ($batch->sources as $source) {
            if ($this->touches($what, $about, $source->harvest)) {
                return true;
            }
        }

        return false;
    }

    public function touches(RecallOf $what, string $about, HarvestRecord $harvest): bool
    {
        $decision = $harvest->decision;

        return match ($what) {
            RecallOf::Tree => $decision->examination->specimen->id === $about,
            RecallOf::Decision => $decision->id === $about,
            RecallOf::Examiner => \in_array($about, $this->people($harvest), true),
            RecallOf::FloraLine => $decision->taxon.'/'.$decision->part === $about,
            RecallOf::Batch => false,
        };
    }

    public function reset(): void
    {
        $this->recalls = null;
    }

    private function isAnotherKind(Specimen $tree, DecisionRecord $decision): bool
    {
        return '' !== $tree->kind
            && $tree->kindFlora === $decision->examination->flora
            && $tree->kind !== $decision->taxon;
    }

    /** @return list<string> ids of all who looked or decided */
    private function people(HarvestRecord $harvest): array
    {
        $examination = $harvest->decision->examination;
        $people = [$examination->examiner->id, $harvest->decision->decidedBy->id];
        foreach ($this->examinations->findBy(['secondOf' => $examination]) as $second) {
            $people[] = $second->examiner->id;
        }

        return $people;
    }

    private function isRecalled(HarvestRecord $harvest): bool
    {
        foreach ($this->recalls() as $recall) {
            if ($this->touches($recall->what, $recall->about, $harvest)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Recall> */
    private function recalls(): array
    {
        return $this->recalls ??= $this->known->all();
    }
}

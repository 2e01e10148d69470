<?php

declare(strict_types=1);

namespace App\Api;

use App\Api\Input\ExaminationChange;
use App\Api\Input\NewExamination;
use App\Api\Input\NewHarvest;
use App\Api\Input\NewScore;
use App\Api\View\ExaminationView;
use App\Entity\DecisionRecord;
use App\Entity\ExaminationRecord;
use App\Entity\HarvestRecord;
use App\Entity\ScoreRecord;
use App\Entity\Specimen;
use App\Entity\User;
use App\Exchange\FloraLibrary;
use App\Exchange\StoredExaminations;
use App\Repository\ExaminationRepository;
use App\StandIn\SchoolClock;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\UnknownEntry;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('examinations')]
#[OA\Response(response: 200, description: 'The examination with everything the engine says of it.', content: new Model(type: ExaminationView::class))]
#[OA\Response(response: 422, description: 'Something in it cannot be taken; nothing was stored.', content: new OA\JsonContent(ref: '#/components/schemas/Problem'))]
final class ExaminationController extends AbstractController
{
    public function __construct(
        private readonly ExaminationRepository $examinations,
        private readonly StoredExaminations $stored,
        private readonly ExaminationPage $page,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
    ) {
    }

    #[Route('/api/examinations', methods: ['POST'])]
    public function begin(#[CurrentUser] User $user, #[MapRequestPayload] NewExamination $input): JsonResponse
    {
        return $this->json($this->transaction->run(function (EntityManagerInterface $entities) use ($user, $input): ExaminationView {
            $specimen = $entities->find(Specimen::class, $input->specimenId) ?? throw Refused::field('specimenId', 'There is no such tree.');
            $first = null === $input->secondOf ? null : $this->find($input->secondOf);
            if (null !== $first && ($first->examiner === $user || !$first->isSigned() || $first->specimen !== $specimen)) {
                throw Refused::field('secondOf', 'A second look is taken by somebody else, at the same tree, after the first one is signed.');
            }
            $flora = $this->library->flora($first->flora ?? $user->flora); // the second person works with the flora of the first
            $record = new ExaminationRecord($specimen, $user, $input->date, $flora->name, $flora->hash, $this->clock->now());
            $record->stage = $input->stage;
            $record->route = $input->route;
            $record->reach = $input->reach ?? $record->reach;
            $record->kit = $input->kit ?? $record->kit;
            $record->blind = $input->blind || null !== $first;
            $record->secondOf = $first;
            $record->unprejudiced = null === $first || !\in_array($user->id, $first->seenBy, true);
            if (null !== $first) { // the second examiner works toward the same part, without seeing any score
                [$record->claimTaxon, $record->claimPart] = [$first->claimTaxon, $first->claimPart];
            } elseif (null !== $input->claimTaxon && null !== $input->claimPart) {
                $this->claim($flora, $record, $input->claimTaxon, $input->claimPart);
            }
            $entities->persist($record);

            return $this->page->of($record, $user);
        }));
    }

    #[Route('/api/examinations/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->transaction->run(function () use ($user, $id): ExaminationView {
            $record = $this->find($id);
            if ($record->examiner !== $user) {
                if (!$record->isSigned()) {
                    throw Refused::forbidden('This examination is still being made by '.$record->examiner->name.'; it can be read once it is signed.');
                }
                if ($this->examinations->isLookingBlind($user, $record->specimen)) {
                    throw Refused::forbidden('You are examining this tree as the second person. Sign yours first; until then the first scores stay covered.');
                }
                if (!\in_array($user->id, $record->seenBy, true)) {
                    $record->seenBy = [...$record->seenBy, $user->id];
                }
            }

            return $this->page->of($record, $user);
        }));
    }

    #[Route('/api/examinations/{id}', methods: ['PATCH'])]
    public function change(#[CurrentUser] User $user, string $id, #[MapRequestPayload] ExaminationChange $input): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record) use ($input): void {
            $record->date = $input->date ?? $record->date;
            $record->stage = $input->stage ?? $record->stage;
            $record->route = $input->route ?? $record->route;
            $record->reach = $input->reach ?? $record->reach;
            $record->kit = $input->kit ?? $record->kit;
            if ($input->dropClaim) {
                $record->claimTaxon = $record->claimPart = null;
                $record->conditions = [];
            } elseif (null !== $input->claimTaxon && null !== $input->claimPart) {
                $this->claim($this->stored->flora($record), $record, $input->claimTaxon, $input->claimPart);
            }
            foreach ($input->conditions ?? [] as $condition => $answer) {
                $this->answer($record, $condition, $answer);
            }
            if ($input->uncoverNames) {
                $record->uncoveredAt ??= $this->clock->now();
            }
        });
    }

    #[Route('/api/examinations/{id}/scores', methods: ['POST'])]
    public function score(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewScore $input): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record, EntityManagerInterface $entities) use ($input): void {
            $flora = $this->stored->flora($record);
            try {
                $character = $flora->character($input->character);
                $numbers = array_map(static fn (int|float $number): float => $character->inOwnUnit((float) $number, $input->unit), array_values($input->numbers));
                $score = new ScoreRecord(
                    $record, $input->character, $input->looked ? array_values($input->states) : [], $input->looked ? $numbers : [],
                    $input->certainty, [] === $numbers ? $input->samples : \count($numbers), $input->where, $input->looked, $this->clock->now(), $input->position,
                );
                if ($input->looked) {
                    StoredExaminations::observation($flora, $score);
                }
            } catch (UnknownEntry|\InvalidArgumentException $e) {
                throw Refused::field('character', $e->getMessage());
            }
            $record->scores->add($score);
            $entities->persist($score);
        });
    }

    /** Takes a mistyped score back; it stays on record and counts for nothing. */
    #[Route('/api/examinations/{id}/scores/{score}', methods: ['DELETE'])]
    public function takeBack(#[CurrentUser] User $user, string $id, string $score): JsonResponse
    {
        return $this->write($user, $id, fn (ExaminationRecord $record) => $this->scoreOf($record, $score)->takenBackAt ??= $this->clock->now());
    }

    /** Counts a score again that was taken back. */
    #[Route('/api/examinations/{id}/scores/{score}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] User $user, string $id, string $score): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record) use ($score): void {
            $this->scoreOf($record, $score)->takenBackAt = null;
        });
    }

    /** Closes the scores for good and puts the decision on record. */
    #[Route('/api/examinations/{id}/sign', methods: ['POST'])]
    public function sign(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record, EntityManagerInterface $entities) use ($user): void {
            $assessment = $this->stored->assess($record);
            if ([] === $assessment->identification->examination->findings) {
                throw Refused::conflict('Nothing has been scored yet; there is nothing to sign.');
            }
            $record->signedAt = $this->clock->now();
            if (null !== $assessment->clearance) {
                $entities->persist(DecisionRecord::of($record, $user, $assessment, $this->clock->today()));
            }
        });
    }

    #[Route('/api/examinations/{id}/harvests', methods: ['POST'])]
    public function harvest(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewHarvest $input): JsonResponse
    {
        return $this->json($this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $input): ExaminationView {
            $record = $this->find($id);
            if (!$record->isSigned()) {
                throw Refused::conflict('Sign the examination first.');
            }
            if ($this->examinations->isLookingBlind($user, $record->specimen)) {
                throw Refused::forbidden('You are examining this tree as the second person. Sign yours first.');
            }
            $assessment = $this->stored->assess($record);
            $clearance = $assessment->clearance;
            if (null === $clearance || !$clearance->isCleared()) {
                throw Refused::conflict('The gate is not open: '.(null === $clearance ? 'nothing was asked for.' : $clearance->because));
            }
            $decision = DecisionRecord::of($record, $user, $assessment, $this->clock->today());
            $entities->persist(new HarvestRecord(
                $decision, $user, $this->clock->today()->format('Y-m-d'), $input->amount, $input->unit,
                $input->ripeness, $input->shareLeft, $input->note, $this->clock->now(),
            ));
            $entities->flush();

            return $this->page->of($record, $user);
        }));
    }

    /** @param callable(ExaminationRecord, EntityManagerInterface): mixed $work */
    private function write(User $user, string $id, callable $work): JsonResponse
    {
        return $this->json($this->transaction->run(function (EntityManagerInterface $entities) use ($user, $id, $work): ExaminationView {
            $record = $this->find($id);
            if ($record->examiner !== $user) {
                throw Refused::forbidden('Only '.$record->examiner->name.' can change this examination.');
            }
            if ($record->isSigned()) {
                throw Refused::conflict('This examination is signed and cannot be changed. Begin a new one.');
            }
            $work($record, $entities);
            $entities->flush();

            return $this->page->of($record, $user);
        }));
    }

    private function find(string $id): ExaminationRecord
    {
        return $this->examinations->find($id) ?? throw Refused::missing('There is no such examination.');
    }

    private function scoreOf(ExaminationRecord $record, string $id): ScoreRecord
    {
        foreach ($record->scores as $score) {
            if ($score->id === $id) {
                return $score;
            }
        }
        throw Refused::missing('There is no such score in this examination.');
    }

    private function claim(Flora $flora, ExaminationRecord $record, string $taxon, string $part): void
    {
        try {
            $flora->taxon($taxon)->part($part);
        } catch (UnknownEntry $e) {
            throw Refused::field('claimPart', $e->getMessage());
        }
        if ($record->claimTaxon !== $taxon || $record->claimPart !== $part) {
            $record->conditions = [];
        }
        [$record->claimTaxon, $record->claimPart] = [$taxon, $part];
    }

    private function answer(ExaminationRecord $record, string $condition, ?bool $answer): void
    {
        $part = null === $record->claimTaxon ? null : $this->stored->flora($record)->taxon($record->claimTaxon)->part((string) $record->claimPart);
        if (null === $part?->condition($condition)) {
            throw Refused::field('conditions', \sprintf('"%s" is no condition of this part.', $condition));
        }
        $conditions = $record->conditions;
        unset($conditions[$condition]);
        $record->conditions = null === $answer ? $conditions : [...$conditions, $condition => $answer];
    }
}

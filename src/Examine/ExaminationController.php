<?php

declare(strict_types=1);

namespace App\Examine;

use App\Account\User;
use App\Clock\SchoolClock;
use App\Examine\Input\ExaminationChange;
use App\Examine\Input\NewExamination;
use App\Examine\Input\NewScore;
use App\Examine\Input\Reconsideration;
use App\Examine\View\ExaminationView;
use App\Library\FloraLibrary;
use App\Storage\Transaction;
use App\Trees\Specimen;
use App\Web\ApiController;
use App\Web\Permission;
use App\Web\Refused;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Examination\Examination;
use Hylognosis\Examination\Plausible;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Examination\UnusableScore;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Measure\UnknownUnit;
use Nelmio\ApiDocBundle\Attribute\Model;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[OA\Tag('examinations')]
#[OA\Response(
    response: 200,
    description: 'The examination as the screen shows it.',
    content: new Model(type: ExaminationView::class),
),]
#[OA\Response(
    response: 422,
    description: 'Something in it cannot be taken; nothing was stored.',
    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
),]
final class ExaminationController extends ApiController
{
    /** Of one tree on one day: every character of the catalogue, and half as many again. */
    private const MOST_SCORES = 250;

    public function __construct(
        private readonly ExaminationRepository $examinations,
        private readonly StoredExaminations $stored,
        private readonly ExaminationPage $page,
        private readonly FloraLibrary $library,
        private readonly SchoolClock $clock,
        private readonly Transaction $transaction,
        private readonly ExaminationReading $reading,
        private readonly Permission $permission,
        private readonly Decisions $decisions,
        private readonly TreeIdentities $identities,
    ) {
    }

    #[Route('/api/examinations', methods: ['POST'])]
    public function begin(#[CurrentUser] User $user, #[MapRequestPayload] NewExamination $input): JsonResponse
    {
        $begun = $this->transaction->run(function (EntityManagerInterface $entities) use (
            $user,
            $input,
        ): ExaminationRecord {
            $specimen =
                $entities->find(Specimen::class, $input->specimenId) ??
                throw Refused::field('specimenId', 'There is no such tree.');
            if (!$specimen->isThere()) {
                throw Refused::field(
                    'specimenId',
                    \sprintf('%s is not there any more: %s.', $specimen->tag, $specimen->gone->value),
                );
            }
            $first = null === $input->secondOf ? null : $this->find($input->secondOf);
            if (
                null !== $first
                && ($first->examiner === $user || !$first->isSigned() || $first->specimen !== $specimen)
            ) {
                throw Refused::field(
                    'secondOf',
                    'A second look is taken by somebody else, at the same tree, after the first one is signed.',
                );
            }
            if (null !== $first && $this->examinations->hasSecondBy($first, $user)) {
                throw Refused::field(
                    'secondOf',
                    'You have taken a second look at this examination already; one person takes one.',
                );
            }
            $known = null === $input->id ? null : $this->examinations->find(strtolower($input->id));
            if (null !== $known) {
                return $known->examiner === $user && $known->specimen === $specimen
                    ? $known // the same request, sent again
                    : throw Refused::conflict('An examination with this id is begun, and it is another one.');
            }
            $date = CalendarDay::parse($input->date);
            $this->checkDay($date, $specimen);
            // the second person works with the flora of the first
            $flora = $this->library->flora($first->flora ?? $user->flora);
            $record = new ExaminationRecord(
                $specimen,
                $user,
                $date,
                $flora->name,
                $flora->hash,
                $this->clock->now(),
                null === $input->id ? null : strtolower($input->id),
            );
            $record->stage = $input->stage;
            $record->route = $input->route;
            $record->reach = $input->reach ?? $record->reach;
            $record->kit = $input->kit ?? $record->kit;
            $record->blind = $input->blind || null !== $first;
            $record->secondOf = $first;
            $record->unprejudiced =
                null === $first
                || (!\in_array($user->id, $first->seenBy, true)
                    && (null === $user->exportedAt || $user->exportedAt < $first->signedAt));
            if (null !== $first) {
                // the second examiner works toward the same part, without seeing any score
                [$record->claimTaxon, $record->claimPart] = [$first->claimTaxon, $first->claimPart];
            } elseif (null !== $input->claimTaxon && null !== $input->claimPart) {
                $this->claim($flora, $record, $input->claimTaxon, $input->claimPart);
            }
            $entities->persist($record);

            return $record;
        });

        return $this->json($this->page->of($begun, $user));
    }

    #[Route('/api/examinations/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->json($this->page->of($this->reading->read($user, $id), $user));
    }

    #[Route('/api/examinations/{id}', requirements: ['id' => Requirement::UUID], methods: ['PATCH'])]
    public function change(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] ExaminationChange $input,
    ): JsonResponse {
        return $this->write(
            $user,
            $id,
            function (ExaminationRecord $record) use ($input): void {
                if ($record->isSigned()) {
                    // only what is asked with the part in view can be answered later: sap is marked in summer and
                    // tapped in winter
                    $this->answerAll(
                        $record,
                        $input->conditions ??
                            throw Refused::conflict(
                                'This examination is signed and cannot be changed. Begin a new one.',
                            ),
                    );

                    return;
                }
                if (
                    $record->hidesTheHope()
                    && (null !== $input->claimTaxon || $input->dropClaim || null !== $input->conditions)
                ) {
                    throw Refused::forbidden(
                        'You look at this tree as the second person; what is hoped for stays covered until you sign.',
                    );
                }
                if (null !== $input->date) {
                    $this->moveTo($record, CalendarDay::parse($input->date), trim($input->dateReason));
                }
                $record->stage = $input->stage ?? $record->stage;
                $record->route = $input->route ?? $record->route;
                $record->reach = $input->reach ?? $record->reach;
                $record->kit = $input->kit ?? $record->kit;
                if ($input->dropClaim) {
                    $record->claimTaxon = $record->claimPart = null;
                    $record->conditions = $record->conditionsOn = [];
                } elseif (null !== $input->claimTaxon && null !== $input->claimPart) {
                    $this->claim($this->stored->flora($record), $record, $input->claimTaxon, $input->claimPart);
                }
                $this->answerAll($record, $input->conditions ?? []);
                if ($input->uncoverNames) {
                    $record->uncoveredAt ??= $this->clock->now();
                }
            },
            signedToo: true,
        );
    }

    #[Route('/api/examinations/{id}/scores', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function score(#[CurrentUser] User $user, string $id, #[MapRequestPayload] NewScore $input): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record, EntityManagerInterface $entities) use (
            $input,
        ): void {
            if ($record->date > $this->clock->today()) {
                throw Refused::conflict('This examination is dated after today. Correct its day first.');
            }
            $score = $this->scored($record, $input);
            foreach ($record->scores as $before) {
                if ($before->id === $score->id) {
                    if (!$before->saysTheSameAs($score)) {
                        throw Refused::conflict('A score with this id is recorded, and it says something else.');
                    }

                    return; // the same request, sent again
                }
            }
            if (null !== $entities->find(ScoreRecord::class, $score->id)) {
                throw Refused::conflict('A score with this id belongs to another examination.');
            }
            if (\count($record->scores) >= self::MOST_SCORES) {
                throw Refused::conflict(
                    'So many scores say nothing more. Sign this examination, and begin another one.',
                );
            }
            $record->scores->add($score);
            if (
                \count(
                    array_filter(
                        $record->scores->toArray(),
                        static fn (ScoreRecord $s): bool => $s->character === $score->character,
                    ),
                ) > Examination::MOST_SCORES
            ) {
                throw Refused::conflict(
                    'This character has been scored often enough; more says nothing more. Let somebody else look.',
                );
            }
            $entities->persist($score);
        });
    }

    /** Takes a mistyped score back; it stays on record and counts for nothing. */
    #[Route(
        '/api/examinations/{id}/scores/{score}',
        requirements: ['id' => Requirement::UUID, 'score' => Requirement::UUID],
        methods: ['DELETE'],
    ),]
    public function takeBack(#[CurrentUser] User $user, string $id, string $score): JsonResponse
    {
        return $this->write(
            $user,
            $id,
            fn (ExaminationRecord $record) => $this->scoreOf($record, $score)->takenBackAt ??= $this->clock->now(),
        );
    }

    /** Counts a score again that was taken back. */
    #[Route(
        '/api/examinations/{id}/scores/{score}/restore',
        requirements: ['id' => Requirement::UUID, 'score' => Requirement::UUID],
        methods: ['POST'],
    ),]
    public function restore(#[CurrentUser] User $user, string $id, string $score): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record) use ($score): void {
            $this->scoreOf($record, $score)->takenBackAt = null;
        });
    }

    /** Closes the scores for good and puts the decision on record. */
    #[Route('/api/examinations/{id}/sign', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function sign(#[CurrentUser] User $user, string $id): JsonResponse
    {
        return $this->write($user, $id, function (ExaminationRecord $record) use ($user): void {
            $assessment = $this->stored->assess($record);
            if ([] === $assessment->identification->examination->findings) {
                throw Refused::conflict('Nothing has been scored yet; there is nothing to sign.');
            }
            $record->sign($this->clock->now());
            $record->secondWanted = Summaries::wantsSecond($assessment);
            if (null !== $assessment->clearance) {
                $this->identities->cleared($record, $this->decisions->record($record, $user, $assessment));
            }
            $this->identities->settled($record->specimen);
        });
    }

    /** A second examiner takes the conclusion back, saying why; it then counts neither for nor against. */
    #[Route('/api/examinations/{id}/reconsider', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function reconsider(
        #[CurrentUser] User $user,
        string $id,
        #[MapRequestPayload] Reconsideration $input,
    ): JsonResponse {
        return $this->write(
            $user,
            $id,
            function (ExaminationRecord $record) use ($input): void {
                if (null === $record->secondOf || !$record->isSigned()) {
                    throw Refused::conflict('Only a second look that is signed can be taken back.');
                }
                if (null === $record->reconsideredAt) {
                    [$record->reconsideredAt, $record->reconsideredBecause] = [
                        $this->clock->now(),
                        trim($input->because),
                    ];
                }
            },
            signedToo: true,
        );
    }

    /**
     * @param callable(ExaminationRecord, EntityManagerInterface): mixed $work
     * @param bool                                                       $signedToo the work itself sees to it that
     *                                         nothing signed is changed
     */
    private function write(User $user, string $id, callable $work, bool $signedToo = false): JsonResponse
    {
        $flora = $this->examinations->floraOf($id);
        if ('' !== $flora) {
            $this->library->flora($flora); // read before, not while others wait for the lock
        }
        $written = $this->transaction->run(function (EntityManagerInterface $entities) use (
            $id,
            $work,
            $signedToo,
        ): ExaminationRecord {
            // Locked where the database lets several write at once: a score does not slip in beside a signature.
            $record =
                $this->examinations->find($id, LockMode::PESSIMISTIC_WRITE) ??
                throw Refused::missing('There is no such examination.');
            $this->permission->need(ExaminationVoter::CHANGE, $record);
            if ($record->isSigned() && !$signedToo) {
                throw Refused::conflict('This examination is signed and cannot be changed. Begin a new one.');
            }
            $work($record, $entities);

            return $record;
        });

        // what is said of it is reckoned when nobody waits for the lock
        return $this->json($this->page->of($written, $user));
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
            $record->conditions = $record->conditionsOn = [];
        }
        [$record->claimTaxon, $record->claimPart] = [$taxon, $part];
    }

    private function scored(ExaminationRecord $record, NewScore $input): ScoreRecord
    {
        $flora = $this->stored->flora($record);
        try {
            $character = $flora->character($input->character);
            $numbers = array_map(
                static fn (int|float $number): float => $character->inOwnUnit((float) $number, $input->unit),
                array_values($input->numbers),
            );
            Plausible::check($flora, $character, $numbers);
            $score = new ScoreRecord(
                $record,
                $input->character,
                array_values($input->states),
                $numbers,
                $input->certainty,
                [] === $numbers ? $input->samples : \count($numbers),
                $input->where,
                $input->answer,
                $this->recordedAt($record, $input->at),
                $input->position,
                $input->either,
                $input->further,
                strtolower($input->id),
            );
            if (ScoreAnswer::CannotBeSeen !== $input->answer) {
                StoredExaminations::observation($flora, $score);
            }
        } catch (UnknownEntry $e) {
            throw Refused::field('character', $e->getMessage());
        } catch (UnknownUnit $e) {
            throw Refused::field('unit', $e->getMessage());
        } catch (UnusableScore $e) {
            throw Refused::field($e->field, $e->getMessage());
        }

        return $score;
    }

    /** Now; or earlier, where it was recorded out of our reach: not before the day of the examination. */
    private function recordedAt(ExaminationRecord $record, ?string $at): \DateTimeImmutable
    {
        $now = $this->clock->now();
        if (null === $at) {
            return $now;
        }
        $moment = (new \DateTimeImmutable($at))->setTimezone($now->getTimezone());
        if ($moment > $now) {
            throw Refused::field('at', 'That moment is still to come.');
        }
        if (CalendarDay::of($moment) < $record->date) {
            throw Refused::field('at', 'That is before the day of the examination.');
        }

        return $moment;
    }

    private function checkDay(\DateTimeImmutable $day, Specimen $specimen): void
    {
        if ($day > $this->clock->today()) {
            throw Refused::field('date', 'That day is still to come.');
        }
        if ($day < CalendarDay::of($specimen->createdAt)) {
            throw Refused::field(
                'date',
                \sprintf(
                    'The tree was tagged on %s; an examination of it cannot be older.',
                    $specimen->createdAt->format('j F Y'),
                ),
            );
        }
    }

    /**
     * Scores keep the day they were recorded on. The examination may be said to be older, with an account of why, and
     * never younger.
     */
    private function moveTo(ExaminationRecord $record, \DateTimeImmutable $day, string $reason): void
    {
        $this->checkDay($day, $record->specimen);
        $scored = $record->firstScoredOn();
        if (null !== $scored && $day > min($scored, $record->date)) {
            throw Refused::field(
                'date',
                'Scores are recorded already: the examination cannot be made younger than it is.',
            );
        }
        if (null !== $scored && 0 !== CalendarDay::between($day, $record->date) && \strlen($reason) < 10) {
            throw Refused::field(
                'dateReason',
                'Scores are recorded already. Say in a sentence why the examination is older than they are.',
            );
        }
        $record->date = $day;
        $record->dateReason = null === $scored ? '' : ('' === $reason ? $record->dateReason : $reason);
    }

    /** @param array<string, bool|null> $answers */
    private function answerAll(ExaminationRecord $record, array $answers): void
    {
        foreach ($answers as $condition => $answer) {
            $this->answer($record, (string) $condition, $answer);
        }
    }

    private function answer(ExaminationRecord $record, string $condition, ?bool $answer): void
    {
        $part =
            null === $record->claimTaxon
                ? null
                : $this->stored->flora($record)->taxon($record->claimTaxon)->part((string) $record->claimPart);
        if (null === $part?->condition($condition)) {
            throw Refused::field('conditions', \sprintf('"%s" is no condition of this part.', $condition));
        }
        [$conditions, $on] = [$record->conditions, $record->conditionsOn];
        unset($conditions[$condition], $on[$condition]);
        $record->conditions = null === $answer ? $conditions : [...$conditions, $condition => $answer];
        $record->conditionsOn =
            null === $answer ? $on : [...$on, $condition => CalendarDay::iso($this->clock->today())];
    }
}

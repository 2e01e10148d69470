<?php

declare(strict_types=1);

namespace App\Trust;

use App\Account\User;
use App\Examine\ExaminationRecord;
use App\Examine\StoredExaminations;
use App\Learning\PracticeAnswer;
use App\Learning\PracticeCode;
use App\Learning\PracticeLot;
use App\Library\FloraLibrary;
use App\Library\FloraRefused;
use App\Storage\DayType;
use App\Trees\Specimen;
use App\Trees\TreeKind;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Clearance\Claim;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\LookAlike;
use Hylognosis\Flora\UnknownEntry;
use Hylognosis\Learning\TrustLook;
use Hylognosis\Learning\TrustOutcome;

/**
 * What a learner's looks say of whether he can be trusted with a part. Only trees whose kind rests on somebody else's
 * examination count, and only looks taken before that was known, or as the second person.
 */
final readonly class TrustEvidence
{
    /** A look names what it gives this probability, as where a tree is held to be a kind. */
    private const NAMES = 0.95;

    public function __construct(
        private EntityManagerInterface $entities,
        private StoredExaminations $stored,
        private FloraLibrary $library,
        private PracticeLot $lot,
    ) {
    }

    /** @return list<TrustLook> at one tree since that day, of a part somebody is trusted with */
    public function at(Specimen $tree, TrustGrant $grant): array
    {
        [$flora, $claim] = $this->claim($grant->flora, $grant->taxon, $grant->part);

        return $this->atTrees($grant->learner, $flora, $claim, $grant->on, $tree);
    }

    /** What one answer says of a part somebody is trusted with; null where it was about another. */
    public function inAnswer(PracticeAnswer $answer, TrustGrant $grant): ?TrustLook
    {
        return $this->practised($answer, $this->claim($grant->flora, $grant->taxon, $grant->part)[1]);
    }

    /** @return list<TrustLook> since that day */
    public function of(
        User $learner,
        string $flora,
        string $taxon,
        string $part,
        \DateTimeImmutable $since,
    ): array {
        [$known, $claim] = $this->claim($flora, $taxon, $part);

        return [...$this->atTrees($learner, $known, $claim, $since), ...$this->inPractice($learner, $claim, $since)];
    }

    /** @return array{Flora, Claim} */
    private function claim(string $flora, string $taxon, string $part): array
    {
        $known = $this->library->flora($flora);

        return [$known, new Claim($known->taxon($taxon), $known->taxon($taxon)->part($part), [])];
    }

    /**
     * @param Specimen|null $at only there; null: at any
     *
     * @return list<TrustLook>
     */
    private function atTrees(
        User $learner,
        Flora $flora,
        Claim $claim,
        \DateTimeImmutable $since,
        ?Specimen $at = null,
    ): array {
        $query = $this->entities
            ->createQueryBuilder()
            ->select('e', 't')
            ->from(ExaminationRecord::class, 'e')
            ->join('e.specimen', 't')
            ->where('e.examiner = :learner AND e.signedAt IS NOT NULL AND e.date >= :since AND e.flora = :flora')
            ->andWhere('e.reconsideredAt IS NULL AND e.broughtIn = :no')
            ->setParameter('learner', $learner)
            ->setParameter('since', $since, DayType::NAME)
            ->setParameter('flora', $flora->name)
            ->setParameter('no', false);
        if (null !== $at) {
            $query->andWhere('e.specimen = :at')->setParameter('at', $at);
        }
        /** @var list<ExaminationRecord> $records */
        $records = $query->getQuery()->getResult();
        $kinds = $claim->kinds($flora);
        $likes = [
            ...array_map(static fn (LookAlike $l): string => $l->taxon, $claim->part->lookAlikes),
            ...array_map(strval(...), array_keys($flora->dangerous())),
        ];
        $looks = [];
        foreach ($records as $record) {
            $tree = $record->specimen;
            if (
                [] !== $record->handedOver
                || '' === $tree->kind
                || '' !== $tree->doubt
                || $tree->kindFlora !== $flora->name
                || !$this->isSettledByOthers($record)
            ) {
                continue;
            }
            $leader = $this->stored->assess($record)->identification->leader();
            $look = TrustLook::atATree(
                $record->id,
                $tree->id,
                $tree->kind,
                $leader->posterior >= self::NAMES ? $leader->taxon : '',
                $kinds,
                $likes,
                $record->date,
            );
            // to name right what one knows already is nothing; to take it for another is wrong whatever one knew
            if (TrustOutcome::ClearedWrongly === $look->outcome || $this->isUnbiased($record)) {
                $looks[] = $look;
            }
        }

        return $looks;
    }

    /** What the tree is held to be rests on an instructor's eyes, and not on this learner's alone. */
    private function isSettledByOthers(ExaminationRecord $record): bool
    {
        $settled = $this->settled($record);
        $byOthers = array_filter(
            [] === $settled ? [] : $settled[\count($settled) - 1]->examinations,
            function (string $id) use ($record): bool {
                $on = $this->entities->find(ExaminationRecord::class, $id);

                return null !== $on
                    && $on->examiner !== $record->examiner
                    && ExaminerRole::Instructor === $on->examinerRole();
            },
        );

        return [] !== $byOthers;
    }

    /** It was begun before anybody had settled the kind; or as a second look, with nothing of the first one seen. */
    private function isUnbiased(ExaminationRecord $record): bool
    {
        $first = array_values(
            array_filter($this->settled($record), static fn (TreeKind $k): bool => '' !== $k->taxon),
        )[0] ?? null;

        return $record->unprejudiced
            && (null !== $record->secondOf || (null !== $first && $record->createdAt < $first->saidAt));
    }

    /** @return list<TreeKind> in the order they were said */
    private function settled(ExaminationRecord $record): array
    {
        return $this->entities->getRepository(TreeKind::class)->findBy(
            ['specimen' => $record->specimen],
            ['saidAt' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @return list<TrustLook> */
    private function inPractice(User $learner, Claim $claim, \DateTimeImmutable $since): array
    {
        /** @var list<PracticeAnswer> $answers */
        $answers = $this->entities
            ->createQueryBuilder()
            ->select('a')
            ->from(PracticeAnswer::class, 'a')
            ->where('a.by = :learner AND a.at >= :since')
            ->setParameter('learner', $learner)
            ->setParameter('since', $since)
            ->orderBy('a.at')
            ->getQuery()
            ->getResult();
        $looks = $seen = [];
        foreach ($answers as $answer) {
            if (isset($seen[$answer->code])) {
                continue; // answered a second time it is no news what it is
            }
            $seen[$answer->code] = true;
            $look = $this->practised($answer, $claim);
            if (null !== $look) {
                $looks[] = $look;
            }
        }

        return $looks;
    }

    private function practised(PracticeAnswer $answer, Claim $claim): ?TrustLook
    {
        try {
            $drawn = $this->lot->drawn(PracticeCode::parse($answer->code));
        } catch (UnknownEntry|FloraRefused) {
            return null; // of a tree or a flora that is not there any more nothing can be said
        }

        return $drawn->hope?->id === $claim->taxon->id && $drawn->part?->id === $claim->part->id
            ? TrustLook::inPractice($answer->id, $drawn->isWanted(), $answer->decision, $answer->at->setTime(0, 0))
            : null;
    }
}

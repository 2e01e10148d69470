<?php

declare(strict_types=1);

namespace App\Learning;

use App\Account\User;
use App\Examine\ExaminationRecord;
use App\Examine\ScoreRecord;
use App\Library\FloraLibrary;
use App\Trees\HeldKinds;
use Doctrine\ORM\EntityManagerInterface;
use Hylognosis\Examination\ExaminerRole;
use Hylognosis\Examination\ScoreAnswer;
use Hylognosis\Flora\Flora;

/**
 * Trees of the school as its instructors read them, to be practised on with their names covered: only where the kind is
 * settled and nobody doubts it.
 */
final readonly class SchoolTrees
{
    /** A tree of which less was read is no practice. */
    private const LEAST = 7;

    public function __construct(
        private EntityManagerInterface $entities,
        private FloraLibrary $library,
        private HeldKinds $kinds,
    ) {
    }

    /** By what such an examination is called in a code: nothing of it can be looked up. */
    public static function called(ExaminationRecord $record): string
    {
        return substr(hash('sha256', 'practice '.$record->id), 0, 16);
    }

    /** @return list<string> codes a learner can be given: not of trees he is to look at unbiased */
    public function codes(User $for): array
    {
        $hidden = $this->kinds->hiddenFrom($for);
        $codes = [];
        foreach ($this->all($for->flora) as $record) {
            if (!isset($hidden[$record->specimen->id])) {
                $codes[] = (string) new PracticeCode('', 0, 0, tree: self::called($record));
            }
        }

        return $codes;
    }

    public function of(string $called): ?ExaminationRecord
    {
        foreach ($this->library->names() as $flora) {
            foreach ($this->all($flora) as $record) {
                if (self::called($record) === $called) {
                    return $record;
                }
            }
        }

        return null;
    }

    /** @return array<string, non-empty-list<string|float>> by character, what was read on the tree */
    public function seen(ExaminationRecord $record, Flora $flora): array
    {
        $seen = [];
        foreach ($record->scores as $score) {
            $values = self::values($score, $flora);
            if ([] !== $values) {
                $seen[$score->character] = array_values(
                    array_unique([...$seen[$score->character] ?? [], ...$values], \SORT_REGULAR),
                );
            }
        }

        return $seen;
    }

    /** @return list<string|float> none where nothing sure was seen */
    private static function values(ScoreRecord $score, Flora $flora): array
    {
        $character = $flora->characters[$score->character] ?? null;
        if (
            null === $character
            || null !== $score->takenBackAt
            || $score->either
            || ScoreAnswer::Seen !== $score->answer
        ) {
            return [];
        }

        return $character->isNumeric()
            ? array_values($score->numbers)
            : array_values(array_filter($score->states, static fn (string $s): bool => isset($character->states[$s])));
    }

    /** @return list<ExaminationRecord> */
    private function all(string $flora): array
    {
        /** @var list<ExaminationRecord> $records */
        $records = $this->entities
            ->createQueryBuilder()
            ->select('e', 't', 's')
            ->from(ExaminationRecord::class, 'e')
            ->join('e.specimen', 't')
            ->join('e.scores', 's')
            ->where("e.signedAt IS NOT NULL AND e.flora = :flora AND t.kind <> '' AND t.doubt = ''")
            ->andWhere('t.kindFlora = :flora AND e.examinedAs = :role AND e.broughtIn = :no')
            ->setParameter('flora', $flora)
            ->setParameter('role', ExaminerRole::Instructor->value)
            ->setParameter('no', false)
            ->orderBy('e.createdAt')
            ->getQuery()
            ->getResult();
        $known = $this->library->flora($flora);

        return array_values(
            array_filter(
                $records,
                fn (ExaminationRecord $record): bool => isset($known->taxa[$record->specimen->kind])
                    && \count($this->seen($record, $known)) >= self::LEAST,
            ),
        );
    }
}

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
    /** One is drawn of the last so many. */
    private const MOST = 400;

    public function __construct(
        private EntityManagerInterface $entities,
        private FloraLibrary $library,
        private HeldKinds $kinds,
    ) {
    }

    /** By what such an examination is called in a code: nothing of it can be looked up. */
    public static function called(string $examination): string
    {
        return substr(hash('sha256', 'practice '.$examination), 0, 16);
    }

    /** @return list<string> codes a learner can be given: not of trees he is to look at unbiased */
    public function codes(User $for): array
    {
        $hidden = $this->kinds->hiddenFrom($for);
        $codes = [];
        foreach (\array_slice($this->readable($for->flora), 0, self::MOST, true) as $id => $tree) {
            if (!isset($hidden[$tree])) {
                $codes[] = (string) new PracticeCode('', 0, 0, tree: self::called((string) $id));
            }
        }

        return $codes;
    }

    public function of(string $called): ?ExaminationRecord
    {
        foreach ($this->library->names() as $flora) {
            foreach (array_keys($this->readable($flora)) as $id) {
                if (self::called((string) $id) === $called) {
                    return $this->entities->find(ExaminationRecord::class, (string) $id);
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

    /**
     * Signed by an instructor, the kind settled and not doubted, and enough of it read.
     *
     * @return array<string, string> id of the examination → id of the tree, the last first
     */
    private function readable(string $flora): array
    {
        /** @var list<array{id: string, tree: string, kind: string}> $rows */
        $rows = $this->entities
            ->createQueryBuilder()
            ->select('e.id AS id, t.id AS tree, t.kind AS kind')
            ->from(ExaminationRecord::class, 'e')
            ->join('e.specimen', 't')
            ->join('e.scores', 's')
            ->where("e.signedAt IS NOT NULL AND e.flora = :flora AND t.kind <> '' AND t.doubt = ''")
            ->andWhere('t.kindFlora = :flora AND e.examinedAs = :role AND e.broughtIn = :no')
            ->andWhere('s.answer = :seen AND s.takenBackAt IS NULL AND s.either = :no')
            ->setParameter('flora', $flora)
            ->setParameter('role', ExaminerRole::Instructor->value)
            ->setParameter('seen', ScoreAnswer::Seen->value)
            ->setParameter('no', false)
            ->groupBy('e.id, t.id, t.kind, e.createdAt')
            ->having('COUNT(DISTINCT s.character) >= :least')
            ->setParameter('least', self::LEAST)
            ->orderBy('e.createdAt', 'DESC')
            ->addOrderBy('e.id')
            ->getQuery()
            ->getArrayResult();
        $known = $this->library->flora($flora)->taxa;
        $readable = [];
        foreach ($rows as $row) {
            if (isset($known[$row['kind']])) {
                $readable[$row['id']] = $row['tree'];
            }
        }

        return $readable;
    }
}

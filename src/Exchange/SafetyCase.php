<?php

declare(strict_types=1);

namespace App\Exchange;

use Hylognosis\Flora\Flora;
use Hylognosis\Rehearsal\ExaminerKind;

/** Writes what the rehearsals of the floras come to, as a page for people. */
final readonly class SafetyCase
{
    private const WEAKEST = 10;

    public function __construct(private RehearsalFile $rehearsals)
    {
    }

    /** @param list<Flora> $floras */
    public function written(array $floras): string
    {
        $lines = [
            '# Safety case', '',
            'Written by `bin/console hylognosis:safety-case` from the rehearsals kept with the floras; do not edit by hand.', '',
            'Simulated trees are drawn from the descriptions, simulated examiners misread them (careful 5 %, careless 20 % of looks on',
            'average, more often where the flora says so), are always sure, follow the suggested looks up to twelve times, and hope for the wanted',
            'part. A single examiner decides; ripeness and permission are taken as given. What the flora does not say of a dangerous tree is',
            'assumed to look the way the examiner hopes. See [how-it-decides.md](how-it-decides.md) for the model and its limits: it says how',
            'often the procedure would go wrong if the descriptions were true. It does not prove them.', '',
        ];
        foreach ($floras as $flora) {
            array_push($lines, ...$this->flora($flora), ...['']);
        }

        return implode("\n", $lines);
    }

    /** @return list<string> */
    private function flora(Flora $flora): array
    {
        $kept = $this->rehearsals->kept($flora);
        if (null === $kept) {
            return ['## '.$flora->title, '', 'Not rehearsed in this edition.'];
        }
        $lines = [
            '## '.$flora->title, '',
            \sprintf('Edition %s, hash `%s`, rehearsed %s, seed %d, %d examinations to a figure.', $flora->edition, $flora->hash, $kept['made_on'], $kept['seed'], $kept['plays']), '',
        ];
        foreach (ExaminerKind::cases() as $kind) {
            $passing = array_values(array_filter($kept['passing'], static fn (array $row): bool => $row['examiner'] === $kind->value));
            if ([] !== $passing) {
                array_push($lines, ...$this->examiner($kind, $passing, $kept['proven'][$kind->value] ?? 0));
            }
        }
        array_push($lines, ...$this->right($kept['right']), ...$this->outsiders($flora, $kept['outsiders']));

        return $lines;
    }

    /**
     * @param non-empty-list<array<string, scalar|null>> $passing
     * @param int                                        $proven  pairs far below the aim, not listed
     *
     * @return list<string>
     */
    private function examiner(ExaminerKind $kind, array $passing, int $proven): array
    {
        usort($passing, static fn (array $a, array $b): int => RehearsalFile::number($b['bound']) <=> RehearsalFile::number($a['bound']));
        $missed = \count(array_filter($passing, static fn (array $row): bool => true !== $row['meets_aim']));
        $lines = [
            \sprintf('**%s examiner**: %d pairs of wanted part and dangerous kind; aim at most %s; %d miss it by their upper bound. The weakest:', ucfirst($kind->value), $proven + \count($passing), self::odds($kind->aim()), $missed), '',
            '| hoped for | really | severity | passes, estimate | at most (95 %) | |', '|---|---|---|---|---|---|',
        ];
        foreach (\array_slice($passing, 0, max(self::WEAKEST, min($missed, 2 * self::WEAKEST))) as $row) {
            $estimate = $row['estimate'];
            $lines[] = \sprintf(
                '| %s, %s | %s | %s | %s | %s | %s |', $row['taxon'], $row['part'], $row['danger'], $row['severity'],
                null === $estimate ? 'proven by the bound' : (0.0 === RehearsalFile::number($estimate) ? 'never in '.$row['played'] : self::odds(RehearsalFile::number($estimate))),
                self::odds(RehearsalFile::number($row['bound'])), true === $row['meets_aim'] ? '' : 'misses',
            );
        }

        return [...$lines, ''];
    }

    /**
     * @param list<array<string, scalar|null>> $right
     *
     * @return list<string>
     */
    private function right(array $right): array
    {
        $best = $way = [];
        foreach ($right as $row) {
            $key = $row['taxon'].', '.$row['part'];
            $share = RehearsalFile::number($row['cleared']) / max(1.0, RehearsalFile::number($row['played']));
            if (ExaminerKind::Careful->value === $row['examiner'] && $share >= ($best[$key] ?? 0.0)) {
                [$best[$key], $way[$key]] = [$share, (string) $row['in_the_way']];
            }
        }
        asort($best);
        $below = array_filter($best, static fn (float $share): bool => $share < 0.9);
        $lines = [\sprintf('**Right trees**, careful examiner: %d of %d parts are cleared in nine cases out of ten or more in their best month; %s', \count($best) - \count($below), \count($best), [] === $below ? 'all of them.' : 'the others, with what stood in the way and how often:'), ''];
        if ([] !== $below) {
            array_push($lines, '| part | cleared in the best month | in the way |', '|---|---|---|');
            foreach ($below as $key => $share) {
                $lines[] = \sprintf('| %s | %d %% | %s |', $key, round($share * 100), $way[$key]);
            }
            $lines[] = '';
        }

        return $lines;
    }

    /**
     * @param list<array<string, scalar|null>> $outsiders
     *
     * @return list<string>
     */
    private function outsiders(Flora $flora, array $outsiders): array
    {
        $sum = static fn (string $key): float => array_sum(array_map(static fn (array $row): float => RehearsalFile::number($row[$key]), $outsiders));
        $dangerous = array_filter($outsiders, static fn (array $row): bool => $flora->taxon((string) $row['taxon'])->severity()->isHazard());
        $cleared = array_filter($outsiders, static fn (array $row): bool => $row['cleared'] > 0);
        if ([] === $outsiders) {
            return [];
        }

        return [
            \sprintf(
                '**Trees the flora does not hold** (each taxon left out in turn): %d %% end as "none of these" within twelve looks, %d %% under a wrong name. Hoped to be the parts they pass for most easily (a group it belongs to left out: that would be true), %d of %d were cleared; of the dangerous kinds %d. Cleared ones: %s.',
                round(100 * $sum('recognised') / max(1.0, $sum('played'))), round(100 * $sum('named') / max(1.0, $sum('played'))), $sum('cleared'), $sum('hoped'),
                array_sum(array_map(static fn (array $row): float => RehearsalFile::number($row['cleared']), $dangerous)),
                [] === $cleared ? 'none' : implode(', ', array_map(static fn (array $row): string => $row['taxon'].' as '.$row['as'], $cleared)),
            ), '',
        ];
    }

    private static function odds(float $share): string
    {
        return $share <= 0.0 ? 'never' : \sprintf('%.1e', $share);
    }
}

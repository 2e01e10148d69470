<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\StatedNever;
use Hylognosis\Flora\Taxon;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\PairBound;

/** Writes what the rehearsals of the floras come to, as a page for people. */
final readonly class SafetyCase
{
    private const WEAKEST = 10;

    public function __construct(private RehearsalFile $rehearsals)
    {
    }

    /**
     * Trials from outside, with what they found. They stand first: our own simulation once said that nine in ten right
     * trees clear, when trees described blind said 47 %.
     */
    private const OUTSIDE = [
        [
            '26 November 2026, before silence stopped counting as a no',
            '83 trees described blind, of kinds the floras hold',
            'right name first: 83',
            'none: wrong hopes cleared 0 of 70',
        ],
        [
            'the same',
            '43 right trees, the required looks answered without seeing their files',
            '20 cleared; 23 kept out, 21 of them by something nobody had asked for',
            '',
        ],
        ['the same', '6 trees no flora holds', '5 end as "none of these"', 'none cleared'],
        [
            'under the present rules',
            '21 trees as practitioners describe them (`tests/Reference/AccountsTest.php`)',
            'right kind first: 18, among the first two: 21; contradicted or too unusual: none',
            '',
        ],
        [
            'under the present rules',
            '23 traps, described from general knowledge (`tests/Reference/SpecimensTest.php`)',
            '',
            'none cleared',
        ],
        [
            'under the present rules',
            '50,000 hostile examinations of made-up trees (`tests/Reference/run-hostile.php`)',
            '',
            'none cleared against a second reckoning of the nine points',
        ],
    ];

    /** @param list<Flora> $floras */
    public function written(array $floras): string
    {
        $lines = [
            '# Safety case',
            '',
            'Second edition. Written by `bin/console hylognosis:safety-case` from the floras and the rehearsals '.
            'kept with them; do not edit by hand.',
            '',
            '## From outside',
            '',
            'Both ways of being wrong count: a wrong tree let through, and a right one kept out.',
            '',
            '| when | what | right trees | wrong trees |',
            '|---|---|---|---|',
            ...array_map(static fn (array $row): string => '| '.implode(' | ', $row).' |', self::OUTSIDE),
            '',
            'The first three have not been repeated from outside under the present rules. Nothing of this counts '.
            'what happens in a wood.',
            '',
            '## What the figures below can say',
            '',
            'Simulated trees are drawn from the descriptions, simulated examiners misread them (careful 5 %, '.
            'careless 20 % of looks on',
            'average, more often where the flora says so, half of the time toward the hope), are always sure, '.
            'follow the suggested looks up to',
            'twelve times, and hope for the wanted part. A single examiner decides; ripeness and permission are '.
            'taken as given. What the flora',
            'does not say of a dangerous tree is assumed to look the way the examiner hopes. See '.
            '[how-it-decides.md](how-it-decides.md).',
            '',
            '- **Independent** holds only where looks are misread independently of each other.',
            \sprintf(
                '- **Wanting it**: with a chance c one cause bends all looks, and each then reads what is hoped '.
                    'for with %s on top of its own chance. *Bears* is the largest c at which one person lets at '.
                    'most %s pass; nothing below that is claimed of one person. Two people who were told the same hope share c.',
                PairBound::WANTING,
                self::odds(PairBound::LEAST_FOR_ONE),
            ),
            '- **False lines**: a stated never may be false. With n lines read by others and none doubted, at '.
            'most 3/n are (95 %).',
            '',
        ];
        foreach ($floras as $flora) {
            array_push($lines, ...$this->flora($flora), ...['']);
        }

        return implode("\n", $lines);
    }

    /** @return list<string> */
    private function flora(Flora $flora): array
    {
        $lines = ['## '.$flora->title, '', ...$this->statements($flora)];
        $kept = $this->rehearsals->kept($flora);
        if (null === $kept) {
            return [...$lines, 'Not rehearsed in this edition.'];
        }
        array_push(
            $lines,
            \sprintf(
                'Edition %s, knowledge `%s`, rehearsed %s, seed %d, %d examinations to a figure of right trees.',
                $flora->edition,
                substr($flora->knowledge, 0, 12),
                $kept['made_on'],
                $kept['seed'],
                $kept['plays'],
            ),
            '',
        );
        foreach (ExaminerKind::cases() as $kind) {
            $passing = array_values(
                array_filter($kept['passing'], static fn (array $row): bool => $row['examiner'] === $kind->value),
            );
            if ([] !== $passing) {
                array_push(
                    $lines,
                    ...$this->examiner(
                        $kind,
                        $passing,
                        $kept['proven'][$kind->value] ?? 0,
                        [] !==
                            array_merge(
                                ...array_map(
                                    static fn (Taxon $taxon): array => $taxon->nevers,
                                    array_values($flora->dangerous()),
                                ),
                            ),
                    ),
                );
            }
        }
        array_push($lines, ...$this->right($kept['right']), ...$this->outsiders($flora, $kept['outsiders']));

        return $lines;
    }

    /** @return list<string> how many stated nevers there are, and what their reviews allow to say */
    private function statements(Flora $flora): array
    {
        $lines = [];
        foreach ($flora->dangerous() as $taxon) {
            array_push($lines, ...$taxon->isHybrid() ? [] : array_values($taxon->nevers));
        }
        $read = \count(array_filter($lines, static fn (StatedNever $never): bool => $never->agreements() > 0));
        $doubted = \count(array_filter($lines, static fn (StatedNever $never): bool => $never->isDoubted()));
        $silent = \count(
            array_filter(
                $flora->dangerous(),
                static fn (Taxon $taxon): bool => [] === $taxon->nevers && !$taxon->isHybrid(),
            ),
        );

        return [
            \sprintf(
                '**What the dangerous kinds never show**: %d lines, %d of them read by somebody besides their '.
                    'author, %d doubted. %s%s',
                \count($lines),
                $read,
                $doubted,
                match (true) {
                    [] === $lines => 'Nothing is stated, so nothing is excluded and its gate stays shut.',
                    0 === $read => 'As long as nobody else has read them, nothing can be said of how many are false.',
                    $doubted > 0 => 'While lines are doubted, no rate is claimed.',
                    default => \sprintf('At most %s of them are false (95 %%).', self::percent(min(1.0, 3.0 / $read))),
                },
                $silent > 0 && [] !== $lines
                    ? \sprintf(
                        ' %d dangerous kinds state nothing yet; as long as that is so, the gate of this flora '.
                            'stays shut.',
                        $silent,
                    )
                    : '',
            ),
            '',
        ];
    }

    /**
     * @param non-empty-list<array<string, scalar|null>> $passing
     * @param int                                        $proven  pairs far below the aim, not listed
     * @param bool                                       $stated  the flora states nevers, which could be false
     *
     * @return list<string>
     */
    private function examiner(ExaminerKind $kind, array $passing, int $proven, bool $stated): array
    {
        usort(
            $passing,
            static fn (array $a, array $b): int => RehearsalFile::number($b['bound']) <=>
                RehearsalFile::number($a['bound']),
        );
        $missed = array_filter($passing, static fn (array $row): bool => true !== $row['meets_aim']);
        $deadly = array_filter($missed, static fn (array $row): bool => 'deadly' === $row['severity']);
        $over = static fn (string $key, float $limit): int => \count(
            array_filter($passing, static fn (array $row): bool => RehearsalFile::number($row[$key]) > $limit),
        );
        $lines = [
            \sprintf(
                '**%s examiner**: %d pairs of wanted part and dangerous kind. Given independent misreadings %d '.
                    'miss the aim of at most %s, %d of them deadly kinds, for which a second person is asked. '.
                    'One person who wants it in one case of 10,000 lets more than %s of the wrong trees pass in %d pairs, in one of 1,000 in %d, in one of 100 in %d.',
                ucfirst($kind->value),
                $proven + \count($passing),
                \count($missed),
                self::odds($kind->aim()),
                \count($deadly),
                self::odds(PairBound::LEAST_FOR_ONE),
                $over('wanting_4', PairBound::LEAST_FOR_ONE),
                $over('wanting_3', PairBound::LEAST_FOR_ONE),
                $over('wanting_2', PairBound::LEAST_FOR_ONE),
            ).
            ($stated
                ? \sprintf(
                    ' Were one line in a hundred false, %d pairs would lie above the aim; one in twenty, %d.',
                    $over('false_1', $kind->aim()),
                    $over('false_5', $kind->aim()),
                )
                : ''),
            '',
            'The weakest:',
            '',
            '| hoped for | really | severity | independent, at most | one bears c | two bear c | wanting, c = '.
            '1e-3 | one line in twenty false |',
            '|---|---|---|---|---|---|---|---|',
        ];
        foreach (\array_slice($passing, 0, max(self::WEAKEST, min(\count($missed), 2 * self::WEAKEST))) as $row) {
            $lines[] = \sprintf(
                '| %s, %s | %s | %s | %s%s | %s | %s | %s | %s |',
                $row['taxon'],
                $row['part'],
                $row['danger'],
                $row['severity'],
                self::odds(RehearsalFile::number($row['bound'])),
                true === $row['meets_aim'] ? '' : ', misses',
                self::odds(RehearsalFile::number($row['tolerates'])),
                self::odds(RehearsalFile::number($row['two_tolerate'])),
                self::odds(RehearsalFile::number($row['wanting_3'])),
                self::odds(RehearsalFile::number($row['false_5'])),
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
        $atLeast = static fn (float $least): int => \count(
            array_filter($best, static fn (float $share): bool => $share >= $least),
        );
        $lines = [
            \sprintf(
                '**Right trees**, careful examiner: %d of %d parts are cleared in nine cases out of ten or more '.
                    'in their best month, %d in four out of five, %d in half or more; %s',
                $atLeast(0.9),
                \count($best),
                $atLeast(0.8),
                $atLeast(0.5),
                [] === $below ? 'all of them.' : 'the others, with what stood in the way and how often:',
            ),
            '',
        ];
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
        $sum = static fn (string $key): float => array_sum(
            array_map(static fn (array $row): float => RehearsalFile::number($row[$key]), $outsiders),
        );
        $dangerous = array_filter(
            $outsiders,
            static fn (array $row): bool => $flora->taxon((string) $row['taxon'])->severity()->isHazard(),
        );
        $cleared = array_filter($outsiders, static fn (array $row): bool => $row['cleared'] > 0);
        if ([] === $outsiders) {
            return [];
        }

        return [
            \sprintf(
                '**Trees the flora does not hold** (each taxon left out in turn): %d %% end as "none of these" '.
                    'within twelve looks, %d %% under a wrong name. Hoped to be the parts they pass for most '.
                    'easily (a group it belongs to left out: that would be true), %d of %d were cleared; of the dangerous kinds %d. Cleared ones: %s.',
                round((100 * $sum('recognised')) / max(1.0, $sum('played'))),
                round((100 * $sum('named')) / max(1.0, $sum('played'))),
                $sum('cleared'),
                $sum('hoped'),
                array_sum(
                    array_map(static fn (array $row): float => RehearsalFile::number($row['cleared']), $dangerous),
                ),
                [] === $cleared
                    ? 'none'
                    : implode(
                        ', ',
                        array_map(static fn (array $row): string => $row['taxon'].' as '.$row['as'], $cleared),
                    ),
            ),
            '',
        ];
    }

    private static function percent(float $share): string
    {
        return \sprintf('%.1f %%', 100 * $share);
    }

    private static function odds(float $share): string
    {
        return $share <= 0.0 ? '0' : ($share >= 1.0 ? '1' : \sprintf('%.1e', $share));
    }
}

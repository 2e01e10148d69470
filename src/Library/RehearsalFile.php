<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Flora\Flora;
use Hylognosis\Flora\Part;
use Hylognosis\Flora\Taxon;
use Hylognosis\Measure\CalendarDay;
use Hylognosis\Rehearsal\ExaminerKind;
use Hylognosis\Rehearsal\Outsiders;
use Hylognosis\Rehearsal\PairBound;
use Hylognosis\Rehearsal\Passing;
use Hylognosis\Rehearsal\RightClearance;
use Psr\Cache\CacheItemPoolInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * The figures of a rehearsal as a document (docs/formats/rehearsal.md), kept beside the flora they speak of. They hold
 * for the flora with the hash they name and for no other.
 *
 * @phpstan-type Row  array<string, scalar|null>
 * @phpstan-type Rows array{right: list<Row>, passing: list<Row>, outsiders: list<Row>}
 * @phpstan-type Head array{flora: string, edition: string, hash: string, made_on: string, seed: int, plays: int, right: list<Row>, passing: list<Row>, outsiders: list<Row>}
 * @phpstan-type Kept array{made_on: string, seed: int, plays: int, right: list<Row>, passing: list<Row>, outsiders: list<Row>, proven: array<string, int>}
 */
final readonly class RehearsalFile
{
    /** Pairs proven to pass less often than this are kept as a number only. */
    private const FAR_BELOW = 1e-8;
    /** What is read of each row. */
    private const FIGURES = [
        'right' => ['month', 'cleared', 'played'],
        'passing' => [
            'bound',
            'wanting_2',
            'wanting_3',
            'wanting_4',
            'false_5',
            'false_1',
            'tolerates',
            'two_tolerate',
        ],
        'outsiders' => ['played', 'recognised', 'named', 'hoped', 'cleared', 'bound'],
    ];

    public function __construct(
        #[Autowire('%kernel.project_dir%/flora')] private string $folder,
        private ClockInterface $clock,
        #[Autowire(service: 'cache.flora')] private CacheItemPoolInterface $cache,
    ) {
    }

    /**
     * @param Rows $rows
     *
     * @return Head
     */
    public function headed(Flora $flora, int $seed, int $plays, array $rows): array
    {
        return [
            'flora' => $flora->name,
            'edition' => $flora->edition,
            'hash' => $flora->knowledge,
            'made_on' => CalendarDay::iso($this->clock->now()),
            'seed' => $seed,
            'plays' => $plays,
        ] + $rows;
    }

    /** @return array<string, scalar|null> */
    public function right(RightClearance $right): array
    {
        [$low, $high] = $right->cleared->wilson();

        return [
            'taxon' => $right->taxon,
            'part' => $right->part,
            'month' => $right->month,
            'examiner' => $right->examiner->value,
            'cleared' => $right->cleared->events,
            'played' => $right->cleared->trials,
            'low' => round($low, 4),
            'high' => round($high, 4),
            'looks' => $right->looks,
            'in_the_way' => implode(
                ', ',
                array_map(
                    static fn (string $what, int $n): string => $what.' '.$n,
                    array_keys(\array_slice($right->inTheWay, 0, 3)),
                    \array_slice($right->inTheWay, 0, 3),
                ),
            ),
        ];
    }

    /** @return array<string, scalar|null> */
    public function passing(Passing $passing): array
    {
        $short = static fn (float $p): float => (float) \sprintf('%.3e', $p);

        return [
            'taxon' => $passing->taxon,
            'part' => $passing->part,
            'danger' => $passing->danger,
            'severity' => $passing->severity->value,
            'examiner' => $passing->examiner->value,
            'estimate' => null === $passing->estimate ? null : $short($passing->estimate),
            'bound' => $short($passing->bound),
            'played' => $passing->played,
            'meets_aim' => $passing->meetsAim(),
            'wanting_2' => $short($passing->exact->wanting(PairBound::SHARES[0])),
            'wanting_3' => $short($passing->exact->wanting(PairBound::SHARES[1])),
            'wanting_4' => $short($passing->exact->wanting(PairBound::SHARES[2])),
            'false_5' => $short($passing->exact->withFalseLines(0.05)),
            'false_1' => $short($passing->exact->withFalseLines(0.01)),
            'tolerates' => $short($passing->exact->tolerates(PairBound::LEAST_FOR_ONE)),
            'two_tolerate' => $short($passing->exact->tolerates($passing->examiner->aim(), true)),
        ];
    }

    /** @return array<string, scalar|null> */
    public function outsiders(Outsiders $outsiders): array
    {
        return [
            'taxon' => $outsiders->taxon,
            'examiner' => $outsiders->examiner->value,
            'played' => $outsiders->recognised->trials,
            'recognised' => $outsiders->recognised->events,
            'named' => $outsiders->named->events,
            'hoped' => $outsiders->cleared->trials,
            'cleared' => $outsiders->cleared->events,
            'cleared_at_most' => round($outsiders->cleared->upperBound(), 5),
            'bound' => (float) \sprintf('%.3e', $outsiders->bound),
            'as' => $outsiders->as,
        ];
    }

    /**
     * @param array<string, mixed> $document
     *
     * @return string the file it was kept in, seen from the project
     *
     * @throws FloraRefused if the flora is not one of those that ship
     */
    public function save(Flora $flora, array $document): string
    {
        $folder = $this->folder.'/'.$flora->name;
        if (!is_file($folder.'/flora.yaml')) {
            throw FloraRefused::because(
                $flora->name,
                'is not among the shipped floras; its figures cannot be kept beside it.',
            );
        }
        $lines = [];
        foreach (self::trimmed($document) as $key => $value) {
            // one row to a line: small, and readable as a difference
            $lines[] =
                json_encode($key, \JSON_THROW_ON_ERROR).
                ': '.
                (\is_array($value) && array_is_list($value)
                    ? "[\n".
                        implode(
                            ",\n",
                            array_map(
                                static fn (mixed $row): string => '    '.
                                    json_encode($row, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES),
                                $value,
                            ),
                        ).
                        "\n  ]"
                    : json_encode($value, \JSON_THROW_ON_ERROR));
        }
        file_put_contents($folder.'/rehearsal.json', "{\n  ".implode(",\n  ", $lines)."\n}\n");

        return 'flora/'.$flora->name.'/rehearsal.json';
    }

    /**
     * Without the pairs proven far below any aim, of which only the number is kept.
     *
     * @param array<string, mixed> $document
     *
     * @return array<string, mixed>
     */
    private static function trimmed(array $document): array
    {
        $kept = [];
        $proven = \is_array($document['proven'] ?? null) ? $document['proven'] : [];
        foreach (\is_array($document['passing'] ?? null) ? $document['passing'] : [] as $row) {
            \assert(\is_array($row) && \is_string($row['examiner']));
            if (null === $row['estimate'] && self::number($row['bound']) < self::FAR_BELOW) {
                $before = $proven[$row['examiner']] ?? 0;
                $proven[$row['examiner']] = (\is_int($before) ? $before : 0) + 1;
            } else {
                $kept[] = $row;
            }
        }

        return array_replace($document, ['passing' => $kept, 'proven' => $proven]);
    }

    /**
     * The figures kept for exactly this flora; null where there are none or they are of another edition.
     *
     * @return Kept|null
     */
    public function kept(Flora $flora): ?array
    {
        $file = $this->folder.'/'.$flora->name.'/rehearsal.json';
        if (!is_file($file)) {
            return null;
        }
        $document = json_decode((string) file_get_contents($file), true, flags: \JSON_THROW_ON_ERROR);
        if (!\is_array($document) || ($document['hash'] ?? '') !== $flora->knowledge || !self::isWhole($document)) {
            return null;
        }

        $document['proven'] ??= [];

        /** @var Kept $document */
        return $document;
    }

    /**
     * What the rehearsal says of one part, a careful examiner looking: the page of a species shows it. The file is
     * large, and read once.
     *
     * @return array{made_on: string, right: list<Row>, passing: list<Row>}|null null where there are no figures for exactly this flora
     */
    public function ofPart(Flora $flora, Taxon $taxon, Part $part): ?array
    {
        $file = $this->folder.'/'.$flora->name.'/rehearsal.json';
        $item = $this->cache->getItem(
            'rehearsal-'.hash('xxh128', $file.$flora->knowledge.@filemtime($file).@filesize($file)),
        );
        $kept = $item->get();
        if (!\is_array($kept)) {
            $document = $this->kept($flora);
            $kept = null === $document ? [] : ['made_on' => $document['made_on'], 'parts' => []];
            foreach (['right', 'passing'] as $list) {
                foreach ($document[$list] ?? [] as $row) {
                    if (ExaminerKind::Careful->value === $row['examiner']) {
                        $kept['parts'][$row['taxon'].'/'.$row['part']][$list][] = $row;
                    }
                }
            }
            $this->cache->save($item->set($kept));
        }
        /** @var array{}|array{made_on: string, parts: array<string, array{right?: list<Row>, passing?: list<Row>}>} $kept */
        $found = $kept['parts'][$taxon->id.'/'.$part->id] ?? null;

        return null === $found
            ? null
            : [
                'made_on' => $kept['made_on'] ?? '',
                'right' => $found['right'] ?? [],
                'passing' => $found['passing'] ?? [],
            ];
    }

    /**
     * @param Rows                   $result
     * @param callable(string): void $line
     */
    public function tell(Flora $flora, array $result, callable $line): void
    {
        $line(\sprintf('%s, edition %s, hash %s', $flora->title, $flora->edition, substr($flora->hash, 0, 12)));
        $line('Right trees cleared within 12 looks, by month at the reference place:');
        foreach ($result['right'] as $r) {
            $line(
                vsprintf('  %-24s %-12s %2d  %-8s %5.1f %% of %d (%.0f–%.0f %%), looks %s%s', [
                    $r['taxon'],
                    $r['part'],
                    $r['month'],
                    $r['examiner'],
                    (100 * self::number($r['cleared'])) / self::number($r['played']),
                    $r['played'],
                    100 * self::number($r['low']),
                    100 * self::number($r['high']),
                    null === $r['looks'] ? '–' : $r['looks'],
                    '' === $r['in_the_way'] ? '' : '; in the way: '.$r['in_the_way'],
                ]),
            );
        }
        $line(
            'Dangerous trees that pass for the wanted one, a single examiner; worst first, below 1 in 10 million '.
                'left out:',
        );
        $passing = $result['passing'];
        usort($passing, static fn (array $a, array $b): int => self::number($b['bound']) <=> self::number($a['bound']));
        $missed = 0;
        foreach ($passing as $p) {
            $missed += true === $p['meets_aim'] ? 0 : 1;
            if (self::number($p['bound']) > 1e-7) {
                $line(
                    vsprintf('  %-24s %-12s taken from %-24s %-8s %-8s estimate %s, at most %.1e%s', [
                        $p['taxon'],
                        $p['part'],
                        $p['danger'],
                        $p['severity'],
                        $p['examiner'],
                        null === $p['estimate'] ? '–' : \sprintf('%.1e', self::number($p['estimate'])),
                        $p['bound'],
                        true === $p['meets_aim'] ? '' : '  MISSES THE AIM',
                    ]),
                );
            }
        }
        $aims = implode(
            ', ',
            array_map(
                static fn (ExaminerKind $kind): string => \sprintf('%s %.0e', $kind->value, $kind->aim()),
                ExaminerKind::cases(),
            ),
        );
        $line(\sprintf('  %d pairs, %d miss the aim (%s).', \count($passing), $missed, $aims));
        $line(
            [] === $result['outsiders']
                ? ''
                : 'Trees the flora does not hold (each taxon left out in turn, twelve looks):',
        );
        foreach ($result['outsiders'] as $o) {
            $line(
                vsprintf(
                    '  %-24s none of these %3.0f %%, wrongly named %3.0f %%, cleared %d of %d, at most %.1e as %s',
                    [
                        $o['taxon'],
                        (100 * self::number($o['recognised'])) / self::number($o['played']),
                        (100 * self::number($o['named'])) / self::number($o['played']),
                        $o['cleared'],
                        $o['hoped'],
                        $o['bound'],
                        $o['as'],
                    ],
                ),
            );
        }
    }

    /** @throws \UnexpectedValueException if there is no number: a figure that is missing never reads as no risk */
    public static function number(mixed $value): float
    {
        return \is_int($value) || \is_float($value)
            ? (float) $value
            : throw new \UnexpectedValueException('A figure of the rehearsal is missing.');
    }

    /** @param array<mixed> $document whether every row holds every figure that is read of it */
    private static function isWhole(array $document): bool
    {
        foreach (self::FIGURES as $list => $keys) {
            foreach (\is_array($document[$list] ?? null) ? $document[$list] : [null] as $row) {
                foreach ($keys as $key) {
                    if (!\is_array($row) || !(\is_int($row[$key] ?? null) || \is_float($row[$key] ?? null))) {
                        return false;
                    }
                }
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace App\Storage;

use Hylognosis\Measure\CalendarDay;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * How often each address was asked, what was answered and how long it took: figures for whoever runs this, of nobody in
 * particular.
 *
 * They stand in a file of their own, so that counting never waits for a school that is writing, and a figure lost in a
 * power cut is no loss.
 */
final class RequestCounts
{
    /** Days for which figures are kept. */
    public const KEPT = 31;
    /** Faults that are kept. */
    private const FAULTS = 50;
    /** Upper bounds of the classes of time, in milliseconds; what took longer is in a last one. */
    private const BOUNDS = [5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000];

    private ?\PDO $file = null;

    public function __construct(#[Autowire('%env(resolve:APP_FIGURES)%')] private readonly string $path)
    {
    }

    /**
     * @param int $microseconds from the first byte of the request to the answer
     *
     * @throws \PDOException if the figures cannot be kept
     */
    public function count(\DateTimeImmutable $at, string $route, int $status, int $microseconds): void
    {
        $class = \count(array_filter(self::BOUNDS, static fn (int $bound): bool => $microseconds > 1000 * $bound));
        $this->file()
            ->prepare(
                'INSERT INTO requests (day, route, status, class, number, longest) VALUES (?, ?, ?, ?, 1, ?)
            ON CONFLICT (day, route, status, class) DO UPDATE SET number = number + 1, longest = MAX(longest, excluded.longest)',
            )
            ->execute([CalendarDay::iso($at), $route, $status, $class, $microseconds]);
    }

    /**
     * @param string $id   the number under which it stands in the log
     * @param string $what the kind of failure and where in the code; nothing of what was asked
     *
     * @throws \PDOException if it cannot be kept
     */
    public function fault(\DateTimeImmutable $at, string $id, string $route, string $what): void
    {
        $this->file()
            ->prepare('INSERT INTO faults (at, id, route, what) VALUES (?, ?, ?, ?)')
            ->execute([$at->format(\DATE_ATOM), $id, $route, $what]);
        $this->file()->exec('DELETE FROM faults WHERE rowid <= (SELECT MAX(rowid) FROM faults) - '.self::FAULTS);
        $this->file()
            ->prepare('DELETE FROM requests WHERE day < ?')
            ->execute([CalendarDay::iso($at->modify('-'.self::KEPT.' days'))]);
    }

    /** @return list<RequestFigures> those since a day, the days together, most asked first */
    public function byRoute(\DateTimeImmutable $since): array
    {
        return $this->figures('route', $since);
    }

    /** @return list<RequestFigures> those since a day, the routes together, the last day first */
    public function byDay(\DateTimeImmutable $since): array
    {
        $days = $this->figures('day', $since);
        usort($days, static fn (RequestFigures $a, RequestFigures $b): int => $b->of <=> $a->of);

        return $days;
    }

    /** @return list<array{at: string, id: string, route: string, what: string}> the last first */
    public function faults(): array
    {
        return array_map(
            static fn (array $row): array => [
                'at' => $row['at'],
                'id' => $row['id'],
                'route' => $row['route'],
                'what' => $row['what'],
            ],
            $this->rows('SELECT at, id, route, what FROM faults ORDER BY rowid DESC'),
        );
    }

    /** @return list<RequestFigures> */
    private function figures(string $by, \DateTimeImmutable $since): array
    {
        $of = [];
        foreach (
            $this->rows(
                "SELECT $by AS name, status, class, number, longest FROM requests WHERE day >= ? ORDER BY class",
                CalendarDay::iso($since),
            ) as $row
        ) {
            $of[$row['name']][] = [
                'status' => (int) $row['status'],
                'class' => (int) $row['class'],
                'number' => (int) $row['number'],
                'longest' => (int) $row['longest'],
            ];
        }
        $figures = [];
        foreach ($of as $name => $rows) {
            $refused = array_filter(
                $rows,
                static fn (array $row): bool => $row['status'] >= 400 && $row['status'] < 500,
            );
            $failed = array_filter($rows, static fn (array $row): bool => $row['status'] >= 500);
            $figures[] = new RequestFigures(
                (string) $name,
                self::number($rows),
                self::number($refused),
                self::number($failed),
                self::within($rows, 50),
                self::within($rows, 95),
                self::longest($rows),
            );
        }
        usort(
            $figures,
            static fn (RequestFigures $a, RequestFigures $b): int => [$b->requests, $a->of] <=> [$a->requests, $b->of],
        );

        return $figures;
    }

    /**
     * @param non-empty-list<array{status: int, class: int, number: int, longest: int}> $rows in order of class
     *
     * @return int the time, in milliseconds, within which so many of a hundred were answered: the upper bound of a
     *             class, or the longest seen
     */
    private static function within(array $rows, int $percent): int
    {
        $wanted = (self::number($rows) * $percent) / 100;
        foreach ($rows as $row) {
            $wanted -= $row['number'];
            if ($wanted <= 0 && isset(self::BOUNDS[$row['class']])) {
                return min(self::BOUNDS[$row['class']], self::longest($rows));
            }
        }

        return self::longest($rows);
    }

    /** @param array<array{status: int, class: int, number: int, longest: int}> $rows */
    private static function number(array $rows): int
    {
        return array_sum(array_column($rows, 'number'));
    }

    /**
     * @param non-empty-list<array{status: int, class: int, number: int, longest: int}> $rows
     *
     * @return int milliseconds
     */
    private static function longest(array $rows): int
    {
        return intdiv(max(array_column($rows, 'longest')) + 999, 1000);
    }

    /** @return list<array<string, string>> */
    private function rows(string $query, string ...$values): array
    {
        $statement = $this->file()->prepare($query);
        $statement->execute(array_values($values));
        $rows = [];
        while (\is_array($row = $statement->fetch(\PDO::FETCH_ASSOC))) {
            $rows[] = array_map(static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '', $row);
        }

        return $rows;
    }

    private function file(): \PDO
    {
        if (null !== $this->file) {
            return $this->file;
        }
        $new = !file_exists($this->path);
        $file = new \PDO('sqlite:'.$this->path, options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $file->exec('PRAGMA busy_timeout = 200');
        $file->exec('PRAGMA synchronous = OFF');
        if ($new) {
            chmod($this->path, 0o600);
            $file->exec('PRAGMA journal_mode = WAL');
        }
        $file->exec(
            'CREATE TABLE IF NOT EXISTS requests (day TEXT, route TEXT, status INTEGER, class INTEGER, number '.
                'INTEGER, longest INTEGER, PRIMARY KEY (day, route, status, class)) WITHOUT ROWID',
        );
        $file->exec('CREATE TABLE IF NOT EXISTS faults (at TEXT, id TEXT, route TEXT, what TEXT)');

        return $this->file = $file;
    }
}

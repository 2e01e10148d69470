<?php

declare(strict_types=1);

namespace App\Exchange;

/** CSV (RFC 4180): commas, double quotes, a heading; UTF-8, with or without a byte order mark. */
final readonly class Csv
{
    private const MOST_ROWS = 250_000;

    /**
     * @param list<string> $needed columns without which it makes no sense
     * @param list<string> $known  all columns that are understood; another one is refused, for it may be a slip
     *
     * @return list<array{line: int, values: array<string, string>}>
     *
     * @throws UnusableFile naming line, column and reason
     */
    public function read(string $text, array $needed, array $known): array
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw UnusableFile::at(1, '', 'The file is not UTF-8; save it as "CSV UTF-8".');
        }
        $text = str_starts_with($text, "\xEF\xBB\xBF") ? substr($text, 3) : $text;
        if ('' === trim($text)) {
            throw UnusableFile::at(1, '', 'The file is empty.');
        }
        $records = $this->records($text);
        $heading = array_map(trim(...), $records[0]['fields']);
        $faults = [];
        if (1 === \count($heading) && str_contains($heading[0], ';')) {
            throw UnusableFile::at(1, '', 'The columns are parted by semicolons; RFC 4180 wants commas.');
        }
        foreach (array_diff($needed, $heading) as $missing) {
            $faults[] = new ImportFault(1, $missing, \sprintf('The column "%s" is missing.', $missing));
        }
        foreach (array_diff($heading, $known) as $strange) {
            $faults[] = new ImportFault(
                1,
                mb_substr($strange, 0, 60),
                \sprintf('No column "%s" is known here; known: %s.', mb_substr($strange, 0, 60), implode(', ', $known)),
            );
        }
        foreach (array_diff_assoc($heading, array_unique($heading)) as $twice) {
            $faults[] = new ImportFault(1, $twice, \sprintf('The column "%s" stands twice.', $twice));
        }
        $rows = [];
        foreach (\array_slice($records, 1) as $record) {
            if ([''] === $record['fields']) {
                continue; // an empty line
            }
            if (\count($record['fields']) !== \count($heading)) {
                $faults[] = new ImportFault(
                    $record['line'],
                    '',
                    \sprintf(
                        'The line has %d fields; the heading has %d.',
                        \count($record['fields']),
                        \count($heading),
                    ),
                );
                continue;
            }
            $rows[] = ['line' => $record['line'], 'values' => array_combine($heading, $record['fields'])];
        }

        return [] === $faults ? $rows : throw new UnusableFile($faults);
    }

    /** @return non-empty-list<array{line: int, fields: non-empty-list<string>}> */
    private function records(string $text): array
    {
        $records = [];
        $line = 1;
        $at = 0;
        $length = \strlen($text);
        while ($at < $length) {
            $fields = [];
            $began = $line;
            do {
                if ('"' === $text[$at]) {
                    if (1 !== preg_match('/\G"((?:[^"]|"")*+)"(?=,|\r\n|\n|$)/', $text, $m, 0, $at)) {
                        throw UnusableFile::at(
                            $line,
                            (string) (\count($fields) + 1),
                            'A quote is not closed, or something stands behind it.',
                        );
                    }
                    $fields[] = str_replace('""', '"', $m[1]);
                    $line += substr_count($m[1], "\n");
                } else {
                    preg_match('/\G[^,\r\n]*+/', $text, $m, 0, $at);
                    if (str_contains($m[0] ?? '', '"')) {
                        throw UnusableFile::at(
                            $line,
                            (string) (\count($fields) + 1),
                            'A quote stands in the middle of a field; put the field in quotes and double it.',
                        );
                    }
                    $fields[] = $m[0] ?? '';
                }
                $at += \strlen($m[0] ?? '');
                $more = ',' === ($text[$at] ?? '');
                if ($more) {
                    ++$at;
                    if ($at >= $length) {
                        $fields[] = '';
                        break;
                    }
                }
            } while ($more);
            $records[] = ['line' => $began, 'fields' => $fields];
            if (\count($records) > self::MOST_ROWS) {
                throw UnusableFile::at(
                    $line,
                    '',
                    \sprintf('More than %d lines cannot be brought in at once.', self::MOST_ROWS),
                );
            }
            $end = preg_match('/\G(?:\r\n|\n|\r)/', $text, $m, 0, $at);
            $at += 1 === $end ? \strlen($m[0] ?? '') : 0;
            ++$line;
        }

        return [] === $records ? throw UnusableFile::at(1, '', 'The file is empty.') : $records;
    }

    /** @param list<string|int|float|bool|null> $fields */
    public static function line(array $fields): string
    {
        return implode(
            ',',
            array_map(static function (string|int|float|bool|null $field): string {
                $text = match (true) {
                    \is_bool($field) => $field ? 'yes' : 'no',
                    \is_float($field) => rtrim(rtrim(\sprintf('%.8F', $field), '0'), '.'),
                    default => (string) $field,
                };

                return 1 === preg_match('/[",\r\n]|^\s|\s$/', $text)
                    ? '"'.str_replace('"', '""', $text).'"'
                    : $text;
            }, $fields),
        )."\r\n";
    }
}
